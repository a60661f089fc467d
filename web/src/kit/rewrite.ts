import { celsiusToFahrenheit, fahrenheitToCelsius } from './format'
import { readNumber } from './reader'
import type { System } from './ways'

/** Rewrites typed temperatures, and differences of them, into other units; what is no figure stays as it was typed. */
type Rewrite = Record<'degrees' | 'apart', (typed: string) => string>

const by = (convert: (v: number) => number) => (typed: string) => {
  const v = readNumber(typed)
  return v === undefined || Number.isNaN(v) ? typed : String(Number(convert(v).toFixed(2)))
}

export const rewriteTo: Record<System, Rewrite> = {
  us: { degrees: by(celsiusToFahrenheit), apart: by((c) => c * 1.8) },
  metric: { degrees: by(fahrenheitToCelsius), apart: by((f) => f / 1.8) },
}
