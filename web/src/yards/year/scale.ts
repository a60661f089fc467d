import { daysBetween } from '../kit'

const DAYS = 365
const WIDTH = 1180
/** For the names of rows, and for what stands beside the last day. */
const LEFT = 110
const RIGHT = 40

/** Where the days of a year lie on a drawing. */
export interface Scale {
  left: number
  width: number
  /** The width of a day. */
  day: number
  x: (day: string) => number
  /** The day is one of them. */
  has: (day: string) => boolean
  /** The first days of its months. */
  months: string[]
}

/** The year up to a day. */
export function yearTo(today: string): Scale {
  const day = (WIDTH - LEFT - RIGHT) / DAYS
  const has = (d: string) => daysBetween(d, today) < DAYS
  const months = Array.from({ length: 12 }, (_, i) => {
    const first = new Date(`${today.slice(0, 7)}-01T12:00`)
    first.setMonth(first.getMonth() - i)
    return first.toISOString().slice(0, 10)
  }).filter(has)
  return {
    left: LEFT,
    width: WIDTH,
    day,
    has,
    months,
    x: (d) => Math.max(LEFT, WIDTH - RIGHT - daysBetween(d, today) * day),
  }
}
