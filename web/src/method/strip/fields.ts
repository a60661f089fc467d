import type { Schemas } from '../../api/client'
import { type Entry, type Panel, type Path, type Typed, when } from '../../kit'
import { powder } from '../text'
import { text } from './text'

export type Request = Schemas['StripRequest']
export type Answer = Schemas['StripAnswer']
export type Carrier = NonNullable<Request['carrier']>
/** What a tap on a board marks. */
export type Marks = 'seam' | 'strip' | 'brood'

/** Of each carrier what was typed of its uptake is kept; parent is the batch that is carried over. */
export type Key = Path<Request> | `uptake.${Carrier}` | 'per' | 'parent' | 'marks'
export type StripTyped = Typed<Key>

const own = when('recipe.protocol', 'own')
const sizedBy = (by: string) => when('size.by', by)
const byBees = when('number.by', 'bees')

const uptake = (carrier: Carrier): Entry<Key> => ({
  of: `uptake.${carrier}`,
  at: 'uptake_g',
  label: text.uptake[carrier],
  unit: 'g',
  hint: (t) => (t[`uptake.${carrier}`] ? undefined : text.uptakeHint),
  when: when('carrier', carrier),
})

/** What the strips' form asks. */
export const PANELS: readonly Panel<Key>[] = [
  {
    title: text.recipe,
    entries: [
      { of: 'recipe.protocol', label: text.recipe, options: text.recipes },
      { of: 'recipe.oad_g', label: text.oad, unit: 'g', when: own },
      {
        of: 'recipe.glycerol_ml',
        label: text.ownGlycerol,
        unit: 'mL',
        when: (t) => own(t) && t.per === 'ml',
      },
      {
        of: 'recipe.glycerol_g',
        label: text.ownGlycerol,
        unit: 'g',
        when: (t) => own(t) && t.per === 'g',
      },
      { of: 'per', label: text.per, options: text.pers, aside: true, when: own },
      { of: 'glycerol_percent', label: text.glycerol, unit: '%' },
      {
        of: 'acid_basis',
        label: powder.powderBasis,
        options: powder.powderBases,
        hint: (t) => (t.acid_basis ? powder.anhydrousHint : undefined),
      },
      { of: 'warm_to_c', as: 'degrees', label: text.warmTo, hint: (_, at) => text.warmHint(at) },
    ],
  },
  {
    title: text.carrier,
    entries: [
      { of: 'carrier', label: text.carrier, options: text.carriers },
      uptake('strip'),
      uptake('long'),
      uptake('sponge'),
      {
        of: 'between_boxes',
        label: text.between,
        options: text.betweens,
        aside: true,
        when: when('carrier', 'sponge'),
      },
    ],
  },
  {
    title: text.number,
    entries: [
      { of: 'number.by', label: text.number, options: text.numbers },
      { of: 'number.frames', label: text.frames, when: byBees },
      { of: 'number.most_per_box', as: 'whole', label: text.most, when: byBees },
      {
        of: 'number.each',
        as: 'whole',
        label: (t) => text.each[t['number.by'] as 'box' | 'colony'],
        first: '2',
        when: when('number.by', 'box', 'colony'),
      },
    ],
  },
  {
    title: text.sizedBy,
    faults: ['size'],
    entries: [
      { of: 'size.by', label: text.sizedBy, options: text.sizes },
      { of: 'size.colonies', as: 'whole', label: text.colonies, when: sizedBy('count') },
      { of: 'size.each', label: text.eachColony, first: '4', when: sizedBy('count') },
      { of: 'size.strips', as: 'whole', label: text.strips, when: sizedBy('strips') },
      { of: 'size.volume_ml', unit: 'mL', label: text.volume, when: sizedBy('volume') },
      { of: 'size.acid_g', label: text.acid, unit: 'g', when: sizedBy('acid') },
      { of: 'size.glycerol_ml', unit: 'mL', label: text.glycerolHand, when: sizedBy('glycerol') },
      { of: 'size.times', label: text.times, first: '1', when: sizedBy('times') },
    ],
  },
  {
    title: text.carried,
    brief: (t) => (t['carried.grams'] ? text.carriedBrief(t['carried.grams']) : text.carriedNone),
    folded: (t) => !t['carried.grams'] && !t.parent,
    entries: [
      { of: 'parent', as: 'words', label: '', aside: true, unseen: true },
      { of: 'carried.grams', label: text.carriedGrams, unit: 'g' },
      { of: 'carried.oad_percent', label: text.carriedOAD, unit: '%' },
      { of: 'carried.water_percent', label: text.carriedWater, unit: '%' },
    ],
  },
  {
    title: text.vessel,
    folded: true,
    entries: [
      { of: 'stays_ml', unit: 'mL', label: text.stays },
      { of: 'headroom_percent', label: text.headroom, unit: '%' },
      { of: 'jig.slots', as: 'whole', label: text.slots, placeholder: text.noJig },
      { of: 'jig.most', as: 'whole', label: text.mostInSlot, placeholder: text.noLimit },
    ],
  },
]

/** What its parts cost, and what a tap marks. */
export const KEEPING: Panel<Key> = {
  title: '',
  entries: [
    { of: 'prices.acid_kg', label: text.priceAcid },
    { of: 'prices.glycerol_l', label: text.priceGlycerol },
    { of: 'prices.strip', label: text.priceStrip },
    { of: 'marks', label: '', options: text.marksKinds, aside: true, unseen: true },
  ],
}
