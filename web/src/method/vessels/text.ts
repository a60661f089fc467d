/** The words of vessels at hand. */
export const text = {
  yours: 'Your vessels',
  vessel: (name: string, ml: string) => `${name}, ${ml} mL`,
}
