import { celsiusToFahrenheit, fahrenheitToCelsius } from './format'
import type { System } from './ways'
import { readNumber } from './reader'

const by = (convert: (v: number) => number) => (typed: string) => {
  const v = readNumber(typed)
  return v === undefined || Number.isNaN(v) ? typed : String(Number(convert(v).toFixed(2)))
}

/** Rewrites typed temperatures into other units; what is no figure stays as it was typed. */
export const degreesTo: Record<System, (typed: string) => string> = {
  us: by(celsiusToFahrenheit),
  metric: by(fahrenheitToCelsius),
}
