// Days and times come as the operation's own: the browser's zone must not shift them.
const written = (local: string, options: Intl.DateTimeFormatOptions) =>
  new Date(`${local.slice(0, 10)}T12:00`).toLocaleDateString('en-GB', options)

const whole: Intl.DateTimeFormatOptions = { day: 'numeric', month: 'short', year: 'numeric' }

/** A local date and time of the work, such as 2026-12-04T08:30, as Fri, 4 Dec 2026. */
export const day = (local: string) => written(local, { weekday: 'short', ...whole })

/** The same without its weekday. */
export const date = (local: string) => written(local, whole)

/** The same without month and year: Fri 4. */
export const weekday = (local: string) => written(local, { weekday: 'short', day: 'numeric' })

/** 4 Dec 2026, 08:30 */
export const moment = (local: string) => `${date(local)}, ${clock(local)}`

export const clock = (local: string) => local.slice(11, 16)

/** How many days lie between two days, such as 2026-12-01 and 2026-12-04T08:30. */
export const daysBetween = (from: string, to: string) =>
  Math.round((Date.parse(to.slice(0, 10)) - Date.parse(from.slice(0, 10))) / 86_400_000)
