import {
  celsiusToFahrenheit,
  fahrenheitToCelsius,
  fluidOuncesToML,
  mlToFluidOunces,
  type System,
} from '../../units/format'
import { read } from '../../units/reader'
import * as dribble from './dribble/draft'
import type { Draft } from './draft'
import * as pad from './pad/draft'
import * as strip from './strip/draft'

/** Rewrites typed figures into other units. */
export interface Rewrite {
  volume: (typed: string) => string
  degrees: (typed: string) => string
}

/** Rewrites what was typed when the units change, so that 500 mL never becomes 500 fl oz. */
export function inUnits(draft: Draft, to: System): Draft {
  if (draft.units === to) return draft
  const rewrite = (convert: (v: number) => number) => (typed: string) => {
    const v = read(typed)
    return v === undefined || Number.isNaN(v) ? typed : String(Number(convert(v).toFixed(2)))
  }
  const again: Rewrite =
    to === 'us'
      ? { volume: rewrite(mlToFluidOunces), degrees: rewrite(celsiusToFahrenheit) }
      : { volume: rewrite(fluidOuncesToML), degrees: rewrite(fahrenheitToCelsius) }
  return {
    ...draft,
    units: to,
    dribble: dribble.inUnits(draft.dribble, again),
    strip: strip.inUnits(draft.strip, again),
    pad: pad.inUnits(draft.pad, again),
  }
}
