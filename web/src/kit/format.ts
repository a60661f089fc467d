/** Everything about writing figures: places, fractions, and the kitchen's units. */
import { ways } from './ways'

const GRAMS_PER_OUNCE = 28.349523125

export interface Figure {
  value: string
  unit: string
}

export const fixed = (value: number, places: number) =>
  value.toLocaleString('en', { minimumFractionDigits: places, maximumFractionDigits: places })

/** As many places as the figure needs, at most three. */
export const plain = (value: number) => value.toLocaleString('en', { maximumFractionDigits: 3 })

/** Tenths, where there are any. */
export const tenths = (value: number) => value.toLocaleString('en', { maximumFractionDigits: 1 })

/** About three figures, for strengths and costs. */
export const three = (value: number) => {
  const size = Math.abs(value)
  return fixed(value, size >= 100 ? 0 : size >= 10 ? 1 : 2)
}

/** Seams in quarters: 6½. */
export function seams(value: number): string {
  const whole = Math.floor(value)
  const part = ['', '¼', '½', '¾'][Math.round((value - whole) * 4)] ?? ''
  return (whole > 0 || part === '' ? String(whole) : '') + part
}

/** Places after the point in a balance's division, such as 1 for 0.1. */
export const placesOf = (division: number) => (String(division).split('.')[1] ?? '').length

export const mass = (grams: number, division: number): Figure => ({
  value: fixed(grams, placesOf(division)),
  unit: 'g',
})

/** Tenths of an ounce; hundredths for little. */
export const ounces = (grams: number) => {
  const finest = grams < 100 ? 100 : 10
  return Math.round((grams / GRAMS_PER_OUNCE) * finest) / finest
}

export const pounds = (oz: number): Figure =>
  oz < 16
    ? { value: plain(oz), unit: 'oz' }
    : { value: `${Math.floor(oz / 16)} lb ${plain(Math.round((oz % 16) * 100) / 100)}`, unit: 'oz' }

/** In mL by either system: syringes and jugs have no other marks that a dose could be read by. */
export const volume = (ml: number): Figure => ({ value: fixed(ml, 0), unit: 'mL' })

/** Whether what is no acid is weighed in ounces, and temperatures are read in °F. */
export const us = () => ways().units === 'us'

export const degreeUnit = () => (us() ? '°F' : '°C')
export const shownDegrees = (celsius: number) => (us() ? celsiusToFahrenheit(celsius) : celsius)
export const toCelsius = (shown: number) => (us() ? fahrenheitToCelsius(shown) : shown)

export const temperature = (celsius: number) => `${Math.round(shownDegrees(celsius))} ${degreeUnit()}`
export const temperatures = (low: number, high: number) =>
  `${Math.round(shownDegrees(low))} to ${temperature(high)}`

/** A difference of temperatures. */
export const degreesApart = (celsius: number) =>
  `${Math.round(us() ? celsius * 1.8 : celsius)} ${degreeUnit()}`

const METRES_PER_SECOND_PER_MPH = 0.44704

export const windUnit = () => (us() ? 'mph' : 'm/s')
export const shownWind = (ms: number) => (us() ? ms / METRES_PER_SECOND_PER_MPH : ms)
export const toWind = (shown: number) => (us() ? shown * METRES_PER_SECOND_PER_MPH : shown)

/** A price, after the operation's currency. */
export const price = (value: number) => `${ways().currency ?? ''}${fixed(value, 2)}`

export const celsiusToFahrenheit = (c: number) => (c * 9) / 5 + 32
export const fahrenheitToCelsius = (f: number) => ((f - 32) * 5) / 9
