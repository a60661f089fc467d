/** Changes something in place, by a recipe. */
export type Edit<T> = (recipe: (of: T) => void) => void
