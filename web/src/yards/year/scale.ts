import { addDays, daysBetween } from '../../kit'

const WIDTH = 1180
/** For the names of rows, and for what stands beside the last day. */
const LEFT = 110
const RIGHT = 40

/** Where days lie on a drawing. */
export interface Scale {
  first: string
  left: number
  width: number
  /** The width of a day. */
  day: number
  x: (day: string) => number
  /** The day that lies at a place. */
  at: (x: number) => string
  /** The day is one of them. */
  has: (day: string) => boolean
  /** The first days of its months. */
  months: string[]
}

/** The days from one to another. */
export function spanOf(from: string, to: string): Scale {
  const day = (WIDTH - LEFT - RIGHT) / daysBetween(from, to)
  const has = (d: string) => d >= from && d <= to
  const months: string[] = []
  const first = new Date(`${from.slice(0, 7)}-01T12:00`)
  for (let d = from; d <= to; d = first.toISOString().slice(0, 10)) {
    if (d.endsWith('-01')) months.push(d)
    first.setMonth(first.getMonth() + 1)
  }
  const x = (d: string) => LEFT + daysBetween(from, d) * day
  return {
    first: from,
    left: LEFT,
    width: WIDTH,
    day,
    has,
    months,
    x: (d) => Math.min(Math.max(LEFT, x(d)), WIDTH - RIGHT),
    at: (place) => addDays(from, Math.round((place - LEFT) / day)),
  }
}
