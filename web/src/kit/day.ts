import { ways, type Ways } from './ways'

type Parts = Intl.DateTimeFormatOptions

/** A formatter is dear to make and a page writes hundreds of days, so each is made once. */
const formats = new Map<string, Intl.DateTimeFormat>()

function written(local: string, parts: Parts, dates: Ways['dates']) {
  const key = dates + JSON.stringify(parts)
  let format = formats.get(key)
  if (!format)
    formats.set(key, (format = new Intl.DateTimeFormat(dates === 'month_day' ? 'en-US' : 'en-GB', parts)))
  // Days come as the operation's own: the browser's zone must not shift them.
  const text = format.format(new Date(`${local.slice(0, 10)}T12:00`))
  return text.replace(/Sept\b/, 'Sep') // three letters, as the server writes it
}

const MONTH: Parts = { day: 'numeric', month: 'short' }

/** By the order of the year's parts, or as ISO 8601 has it. */
const of = (parts: Parts) => (local: string) => {
  const { dates } = ways()
  if (dates !== 'iso') return written(local, parts, dates)
  return [parts.weekday && written(local, { weekday: parts.weekday }, dates), iso(local, parts)]
    .filter(Boolean)
    .join(' ')
}

const iso = (local: string, { year }: Parts) => (year ? local.slice(0, 10) : local.slice(5, 10))

/** A local date and time of the work, such as 2026-12-04T08:30, as Fri, 4 Dec 2026. */
export const day = of({ weekday: 'short', ...MONTH, year: 'numeric' })

/** The same without its weekday. */
export const date = of({ ...MONTH, year: 'numeric' })

/** Without its year: 4 Dec. */
export const short = of(MONTH)

/** The same with its weekday: Fri 4 Dec. */
export const dayMonth = (local: string) => of({ weekday: 'short', ...MONTH })(local).replace(',', '')

export const month = (local: string) => written(local, { month: 'short' }, 'day_month')

/** The same without month and year: Fri 4. */
export const weekday = (local: string) => written(local, { weekday: 'short', day: 'numeric' }, 'day_month')

/** The head of a day's page: Friday 4 December. */
export const longDay = (local: string) =>
  of({ weekday: 'long', day: 'numeric', month: 'long' })(local).replace(',', '')

/** 4 Dec 2026, 08:30 */
export const moment = (local: string) => `${date(local)}, ${clock(local)}`

/** 08:30, or 8:30 am. */
export function clock(local: string) {
  const at = local.slice(11, 16)
  if (ways().hours === '24h') return at
  const hour = Number(at.slice(0, 2))
  return `${half(hour)}${at.slice(2)} ${hour < 12 ? 'am' : 'pm'}`
}

const half = (hour: number) => hour % 12 || 12

/** A whole hour, 0 to 24: 8 h, or 8 am. */
export const hour = (h: number) =>
  ways().hours === '24h' ? `${h} h` : `${half(h)} ${h % 24 < 12 ? 'am' : 'pm'}`

/** From one whole hour to another: 8–16 h, or 8 am–4 pm. */
export const hours = (from: number, to: number) =>
  ways().hours === '24h' ? `${from}–${to} h` : `${hour(from)}–${hour(to)}`

/** How many days lie between two days, such as 2026-12-01 and 2026-12-04T08:30. */
export const daysBetween = (from: string, to: string) =>
  Math.round((Date.parse(to.slice(0, 10)) - Date.parse(from.slice(0, 10))) / 86_400_000)

/** The day so many days after another. */
export const addDays = (day: string, days: number) =>
  new Date(Date.parse(day.slice(0, 10)) + days * 86_400_000).toISOString().slice(0, 10)
