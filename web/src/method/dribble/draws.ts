import type { Schemas } from '../../api/client'
import { plain } from '../../kit'
import { text } from './docketText'
import type { Device } from './fields'

/** What the hand does for a dose: fillings, squeezes, shots or seconds. */
export function drawing(draws: Schemas['Draw'][], device: Device): string {
  if (draws.length === 0) return ''
  const figures = draws.map((d) => plain(device === 'syringe' ? d.ml : (d.count ?? 0))).join(' + ')
  return text.draw[device](figures)
}
