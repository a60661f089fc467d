import { fahrenheitToCelsius } from './format'
import type { System } from './ways'
import { text } from './text'

/** What a request is read into, and what could not be read at all, by path. */
export interface Reading<Request> {
  request: Request
  faults: Record<string, string>
}

/** A comma before three figures may part thousands or tenths: 12,500. */
const TWO_WAYS = /^([-+]?[1-9]\d{0,2}),(\d{3})$/

/** Why a text is read as no number; undefined where it is one. */
export function numberFault(typed: string): string | undefined {
  const clean = typed.trim()
  const [, before, behind] = TWO_WAYS.exec(clean) ?? []
  if (before !== undefined && behind !== undefined) return text.twoWays(before, behind)
  return /^[-+]?(\d+\.?\d*|\.\d+)$/.test(clean.replace(',', '.')) ? undefined : text.notANumber
}

/** Reads typed figures, and keeps a word for each that is none. */
export class Reader {
  readonly faults: Record<string, string> = {}

  constructor(private readonly units: System) {}

  /** A figure, or undefined when nothing was typed. */
  number(path: string, typed: string): number | undefined {
    if (typed.trim() === '') return undefined
    const fault = numberFault(typed)
    if (fault !== undefined) {
      this.faults[path] = fault
      return undefined
    }
    return Number(typed.trim().replace(',', '.'))
  }

  whole(path: string, typed: string): number | undefined {
    const n = this.number(path, typed)
    if (n !== undefined && !Number.isInteger(n)) {
      this.faults[path] = text.notWhole
      return undefined
    }
    return n
  }

  /** A figure that cannot be left out; NaN where there is none, beside its fault. */
  needed(path: string, typed: string, whole = false): number {
    const n = whole ? this.whole(path, typed) : this.number(path, typed)
    if (n === undefined) this.faults[path] ??= text.nothing
    return n ?? NaN
  }

  get readable() {
    return Object.keys(this.faults).length === 0
  }

  /** Seams may be typed with a fraction, such as 5½. */
  seams(path: string, typed: string): number | undefined {
    const parts = { '¼': '.25', '½': '.5', '¾': '.75' }
    return this.number(
      path,
      typed.trim().replace(/\s*([¼½¾])$/, (_, part: '¼' | '½' | '¾') => parts[part]),
    )
  }

  /** °C, whatever it was typed in. */
  degrees(path: string, typed: string): number | undefined {
    const v = this.number(path, typed)
    return v !== undefined && this.units === 'us' ? fahrenheitToCelsius(v) : v
  }

  /** A difference of temperatures in °C, whatever it was typed in. */
  apart(path: string, typed: string): number | undefined {
    const v = this.number(path, typed)
    return v !== undefined && this.units === 'us' ? v / 1.8 : v
  }
}

/** One figure that stands alone in its form, and what is wrong with it at its field. */
export function readOne(path: string, typed: string) {
  const reader = new Reader('metric')
  return { figure: reader.number(path, typed), faults: reader.faults }
}

/** One figure as it was typed: undefined for nothing, NaN for what is none. */
export function readNumber(typed: string): number | undefined {
  const reader = new Reader('metric')
  const n = reader.number('', typed)
  return '' in reader.faults ? NaN : n
}

/** A figure of a request as it would be typed; nothing for 0. */
export const typed = (v: number | undefined) =>
  v === undefined || v === 0 ? '' : String(Number(v.toFixed(6)))

/** The same where 0 is a figure like others. */
export const given = (v: number | undefined, otherwise: string) => (v === undefined ? otherwise : String(v))
