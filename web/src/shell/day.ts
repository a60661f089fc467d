const written = (local: string, options: Intl.DateTimeFormatOptions) =>
  new Date(local).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric', ...options })

/** A local date and time of the work, such as 2026-12-04T08:30, as Fri, 4 Dec 2026. */
export const day = (local: string) => written(local, { weekday: 'short' })

/** The same without its weekday. */
export const date = (local: string) => written(local, {})

export const clock = (local: string) => local.slice(11, 16)
