import {
  celsiusToFahrenheit,
  fahrenheitToCelsius,
  fluidOuncesToML,
  mlToFluidOunces,
  type System,
} from '../../units/format'
import type { Draft } from './draft'

/** Rewrites what was typed when the units change, so that 500 mL never becomes 500 fl oz. */
export function inUnits(draft: Draft, to: System): Draft {
  if (draft.units === to) return draft
  const [volume, degrees] =
    to === 'us' ? [mlToFluidOunces, celsiusToFahrenheit] : [fluidOuncesToML, fahrenheitToCelsius]
  const again = (typed: string, convert: (v: number) => number) => {
    const v = Number(typed.replace(',', '.'))
    return typed.trim() === '' || Number.isNaN(v) ? typed : String(Number(convert(v).toFixed(2)))
  }
  return {
    ...draft,
    units: to,
    hold: {
      ...draft.hold,
      volume: again(draft.hold.volume, volume),
      madeUpTo: again(draft.hold.madeUpTo, volume),
    },
    size: { ...draft.size, volume: again(draft.size.volume, volume) },
    fridge: again(draft.fridge, degrees),
    yard: again(draft.yard, degrees),
  }
}
