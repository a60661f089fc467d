import {
  fixed,
  mass,
  ounces,
  placesOf,
  plain,
  pounds,
  temperature,
  volume,
  type System,
} from '../../units/format'
import { text } from './docketText'
import type { Plan } from './usePlan'

export interface Shown {
  name: string
  hint: string
  value: string
  unit: string
  tolerance?: string
  acid: boolean
  gear: string[]
}

const ACID = new Set(['acid', 'tablets', 'stock', 'warm_bottle'])

/**
 * The lines of a docket as they are read. Acid is always in grams; sugar and
 * water may be in pounds and ounces, and then keep adding up.
 */
export function shownLines(plan: Plan, system: System): Shown[] {
  const water = plan.lines.filter((l) => l.ingredient === 'water')
  const allWater = ounces(water.reduce((sum, l) => sum + (l.grams ?? 0), 0))
  const firstWater = ounces(water[0]?.grams ?? 0)
  return plan.lines.map((l) => {
    const [name = l.step, hint = ''] = text.steps[l.step]?.(l, (c) => temperature(c, system)) ?? []
    const shown = { name, hint, acid: ACID.has(l.step), gear: (l.gear ?? []).map((g) => text.gear[g] ?? g) }
    if (l.count) return { ...shown, value: String(l.count), unit: text.tablets }
    if (l.grams === undefined || l.show_g === undefined)
      return { ...shown, ...volume(l.volume_ml ?? 0, 'metric') }
    const grams = mass(l.show_g, l.band_g ?? 1)
    const band = fixed(l.band_g ?? 0, placesOf(l.band_g ?? 0))
    if (system === 'us' && !shown.acid) {
      const oz = l.step === 'rest_water' ? Number((allWater - firstWater).toFixed(2)) : ounces(l.grams)
      return { ...shown, ...pounds(oz), tolerance: text.grams(grams.value) }
    }
    const beside = l.volume_ml ? `${plain(Math.round(l.volume_ml))} mL` : text.tolerance(band)
    return { ...shown, ...grams, tolerance: beside }
  })
}
