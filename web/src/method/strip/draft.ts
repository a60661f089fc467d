import type { Schemas } from '../../api/client'
import type { Rewrite } from '../../kit/rewrite'
import { given, typed } from '../../kit/reader'

export type Carrier = NonNullable<Schemas['StripRequest']['carrier']>
export type SizeBy = Schemas['StripSize']['by']
/** Usual: whatever is usual for what the liquor is soaked into. */
export type NumberBy = 'usual' | Schemas['StripNumber']['by']
/** What a tap on a board marks. */
export type Marks = 'seam' | 'strip' | 'brood'

/** What is the strips' own in a plan being typed. */
export interface StripDraft {
  recipe: { by: 'protocol' | 'own'; protocol: string; oad: string; glycerol: string; per: 'ml' | 'g' }
  glycerol: string
  /** The acid as bought is without crystal water. */
  anhydrous?: boolean
  warmTo: string
  carrier: Carrier
  between: boolean
  uptake: Record<Carrier, string>
  number: { by: NumberBy; each: string; frames: string; most: string }
  size: {
    by: SizeBy
    colonies: string
    each: string
    strips: string
    acid: string
    glycerol: string
    times: string
    volume: string
  }
  /** What is left of an earlier pot; parent is the batch it comes from, if it was kept. */
  carried: { parent: string; grams: string; oad: string; water: string }
  stays: string
  headroom: string
  jig: { slots: string; most: string }
  prices: { acid: string; glycerol: string; strip: string }
  marks: Marks
}

export const empty = (): StripDraft => ({
  recipe: { by: 'protocol', protocol: 'two-to-three', oad: '500', glycerol: '750', per: 'ml' },
  glycerol: '99.5',
  warmTo: '70',
  carrier: 'strip',
  between: false,
  uptake: { strip: '20', long: '', sponge: '' },
  number: { by: 'usual', each: '2', frames: '2.5', most: '4' },
  size: {
    by: 'colonies',
    colonies: '',
    each: '4',
    strips: '',
    acid: '',
    glycerol: '',
    times: '1',
    volume: '',
  },
  carried: { parent: '', grams: '', oad: '', water: '' },
  stays: '120',
  headroom: '30',
  jig: { slots: '', most: '' },
  prices: { acid: '', glycerol: '', strip: '' },
  marks: 'seam',
})

/** The inverse of read. */
export function adopt(plan: Schemas['StripRequest']): StripDraft {
  const d = empty()
  const { protocol, oad_g, glycerol_g, glycerol_ml } = plan.recipe
  if (protocol) d.recipe.protocol = protocol
  else
    d.recipe = {
      ...d.recipe,
      by: 'own',
      oad: typed(oad_g),
      glycerol: typed(glycerol_ml ?? glycerol_g),
      per: glycerol_ml ? 'ml' : 'g',
    }
  d.glycerol = given(plan.glycerol_percent, d.glycerol)
  d.anhydrous = plan.acid_basis === 'anhydrous'
  d.warmTo = given(plan.warm_to_c, d.warmTo)
  d.carrier = plan.carrier ?? d.carrier
  d.between = plan.between_boxes ?? false
  d.uptake[d.carrier] = given(plan.uptake_g, d.uptake[d.carrier])
  const n = plan.number
  if (n)
    d.number = {
      by: n.by,
      each: given(n.each, d.number.each),
      frames: given(n.frames, d.number.frames),
      most: given(n.most_per_box, d.number.most),
    }
  const s = plan.size
  d.size = {
    by: s.by,
    colonies: typed(s.colonies),
    each: given(s.each, d.size.each),
    strips: typed(s.strips),
    acid: typed(s.acid_g),
    glycerol: typed(s.glycerol_ml),
    times: given(s.times, d.size.times),
    volume: typed(s.volume_ml),
  }
  const c = plan.carried
  if (c)
    d.carried = {
      parent: '',
      grams: typed(c.grams),
      oad: typed(c.oad_percent),
      water: given(c.water_percent, ''),
    }
  d.stays = given(plan.stays_ml, '0')
  d.headroom = given(plan.headroom_percent, d.headroom)
  d.jig = { slots: typed(plan.jig?.slots), most: typed(plan.jig?.most) }
  const p = plan.prices
  d.prices = { acid: typed(p?.acid_kg), glycerol: typed(p?.glycerol_l), strip: typed(p?.strip) }
  return d
}

export const inUnits = (d: StripDraft, again: Rewrite): StripDraft => ({
  ...d,
  warmTo: again.degrees(d.warmTo),
  stays: again.volume(d.stays),
  size: { ...d.size, glycerol: again.volume(d.size.glycerol), volume: again.volume(d.size.volume) },
})
