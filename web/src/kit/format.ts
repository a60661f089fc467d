/** Everything about writing figures: places, fractions, and the kitchen's units. */
export type System = 'metric' | 'us'

const GRAMS_PER_OUNCE = 28.349523125
const ML_PER_FLUID_OUNCE = 29.5735295625

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

export const volume = (ml: number, system: System): Figure =>
  system === 'us'
    ? { value: fixed(mlToFluidOunces(ml), 1), unit: 'fl oz' }
    : { value: fixed(ml, 0), unit: 'mL' }

export const temperature = (celsius: number, system: System) =>
  system === 'us' ? `${Math.round(celsiusToFahrenheit(celsius))} °F` : `${Math.round(celsius)} °C`

export const fluidOuncesToML = (oz: number) => oz * ML_PER_FLUID_OUNCE
export const mlToFluidOunces = (ml: number) => ml / ML_PER_FLUID_OUNCE
export const celsiusToFahrenheit = (c: number) => (c * 9) / 5 + 32
export const fahrenheitToCelsius = (f: number) => ((f - 32) * 5) / 9
