import {
  celsiusToFahrenheit,
  fahrenheitToCelsius,
  fluidOuncesToML,
  mlToFluidOunces,
  type System,
} from './format'
import { readNumber } from './reader'

/** Rewrites typed figures into other units; what is no figure stays as it was typed. */
export interface Rewrite {
  volume: (typed: string) => string
  degrees: (typed: string) => string
}

const by = (convert: (v: number) => number) => (typed: string) => {
  const v = readNumber(typed)
  return v === undefined || Number.isNaN(v) ? typed : String(Number(convert(v).toFixed(2)))
}

export const rewriteTo: Record<System, Rewrite> = {
  us: { volume: by(mlToFluidOunces), degrees: by(celsiusToFahrenheit) },
  metric: { volume: by(fluidOuncesToML), degrees: by(fahrenheitToCelsius) },
}
