// A formatter is dear to make and a page writes hundreds of days, so each is made once.
const written = (options: Intl.DateTimeFormatOptions) => {
  const form = new Intl.DateTimeFormat('en-GB', options)
  // Days come as the operation's own: the browser's zone must not shift them.
  return (local: string) => form.format(new Date(`${local.slice(0, 10)}T12:00`))
}

const whole: Intl.DateTimeFormatOptions = { day: 'numeric', month: 'short', year: 'numeric' }

/** A local date and time of the work, such as 2026-12-04T08:30, as Fri, 4 Dec 2026. */
export const day = written({ weekday: 'short', ...whole })

/** The same without its weekday. */
export const date = written(whole)

/** The same without month and year: Fri 4. */
export const weekday = written({ weekday: 'short', day: 'numeric' })

/** The head of a day's page: Friday 4 December. */
export const longDay = (local: string) => long(local).replace(',', '')
const long = written({ weekday: 'long', day: 'numeric', month: 'long' })

/** 4 Dec 2026, 08:30 */
export const moment = (local: string) => `${date(local)}, ${clock(local)}`

export const clock = (local: string) => local.slice(11, 16)

/** How many days lie between two days, such as 2026-12-01 and 2026-12-04T08:30. */
export const daysBetween = (from: string, to: string) =>
  Math.round((Date.parse(to.slice(0, 10)) - Date.parse(from.slice(0, 10))) / 86_400_000)
