import type { Schemas } from '../../api/client'
import { type Entry, type Panel, type Path, type Typed, when } from '../../kit'
import { powder as shared } from '../text'
import { text } from './text'

export type Request = Schemas['DribbleRequest']
export type Answer = Schemas['DribbleAnswer']
export type PowderKind = 'crystals' | 'packet' | 'tablets'
export type Device = 'syringe' | 'bulb' | 'gun' | 'sprayer'

/** Each kind of powder keeps what was typed of it: its mass, the acid's share, a share that is sure, how many. */
type Powder = `${PowderKind}.${'grams' | 'share' | 'sure' | 'count'}`
export type Key = Path<Request> | Powder | `calibrate.${'shots' | 'grams' | 'liquid'}`
export type DribbleTyped = Typed<Key>

const liquid = when('hold.kind', 'ready_mix', 'ready_to_use')
const thinned = when('hold.kind', 'ready_mix')
const bought = when('hold.kind', 'ready_to_use')
const mixed = (t: DribbleTyped) => !bought(t)
const own = when('strength.by', 'value')
const device = (t: DribbleTyped) => t['applicator.device'] as Device

const powder = (kind: PowderKind, share: string, grams?: string): Entry<Key>[] => {
  const held = when('hold.kind', kind)
  return [
    {
      of: `${kind}.grams`,
      at: 'hold.grams',
      label: text.holdAmount[kind],
      unit: 'g',
      ...(grams !== undefined && { first: grams }),
      when: held,
    },
    {
      of: `${kind}.share`,
      at: 'hold.oad_percent',
      label: (t) => (kind === 'crystals' && t['hold.basis'] ? text.acidShare : text.oadShare),
      unit: '%',
      hint: (t) => (kind === 'packet' && !t['packet.share'] ? text.packetShareHint : undefined),
      first: share,
      when: held,
    },
    { of: `${kind}.sure`, as: 'words', label: '', aside: true, unseen: true },
  ]
}

/** Whoever types a count means it: nothing has to be chosen before. */
const counting: Pick<Entry<Key>, 'when' | 'also' | 'placeholder'> = {
  when: when('size.by', 'boards', 'count'),
  placeholder: (t) => (t['size.by'] === 'boards' ? text.orTyped : undefined),
  also: (t) => void (t['size.by'] = t['mean.seams'] || t['mean.colonies'] ? 'count' : 'boards'),
}

const counted = (kind: 'packet' | 'tablets'): Entry<Key> => ({
  of: `${kind}.count`,
  at: 'hold.count',
  label: text.count[kind],
  first: '1',
  when: when('hold.kind', kind),
})

/** What the dribble's form asks. */
export const PANELS: readonly Panel<Key>[] = [
  {
    title: text.hold,
    entries: [
      {
        of: 'hold.kind',
        label: text.hold,
        options: text.holdKinds,
        also: (t) => {
          if (t['hold.kind'] !== 'packet' && t['strength.by'] === 'packet') t['strength.by'] = 'protocol'
        },
      },
      ...powder('crystals', '100', ''),
      ...powder('packet', ''),
      ...powder('tablets', '100', '1'),
      {
        of: 'hold.basis',
        label: shared.powderBasis,
        options: shared.powderBases,
        hint: (t) => (t['hold.basis'] ? shared.anhydrousHint : undefined),
        when: when('hold.kind', 'crystals'),
      },
      counted('packet'),
      { ...counted('tablets'), first: '' },
      { of: 'hold.volume_ml', unit: 'mL', label: text.volumeInHand, when: liquid },
      {
        of: 'hold.made_up_to_ml',
        unit: 'mL',
        label: text.madeUpTo,
        hint: () => text.madeUpToHint,
        when: when('hold.kind', 'packet'),
      },
      { of: 'hold.stock.value', label: text.stockStrength, when: thinned },
      { of: 'hold.stock.form', label: text.form, options: text.stockForms, when: thinned },
      { of: 'hold.stock.basis', label: text.basis, options: text.bases, first: '', when: thinned },
      { of: 'hold.stock.sugar_percent_ww', label: text.stockSugar, unit: '%', first: '0', when: thinned },
      { of: 'sugar_percent_ww', label: text.thinSugar, unit: '%', when: thinned },
    ],
  },
  {
    title: text.strength,
    brief: (t) =>
      t['strength.by'] === 'protocol'
        ? text.protocolNames[t['strength.protocol'] ?? '']
        : text.aims[t['strength.by'] as keyof typeof text.aims],
    when: mixed,
    faults: ['strength.protocol'],
    entries: [
      {
        of: 'strength.by',
        label: text.strength,
        options: (t) => (t['hold.kind'] === 'packet' ? text.aims : text.aimsUnpacked),
      },
      { of: 'strength.protocol', label: '', unseen: true },
      { of: 'strength.value', label: text.value, when: own },
      { of: 'strength.form', label: text.form, options: text.forms, list: true, when: own },
      { of: 'strength.basis', label: text.basis, options: text.bases, first: '', when: own },
      { of: 'sugar_per_water', label: text.ratio, placeholder: text.usual, when: (t) => !thinned(t) },
    ],
  },
  {
    title: text.sizedBy,
    term: 'seam',
    faults: ['hold'],
    entries: [
      {
        of: 'size.by',
        label: text.sizedBy,
        options: text.sizes,
        also: (t) => {
          if (t['size.by'] === 'boards') t['mean.seams'] = t['mean.colonies'] = ''
        },
      },
      { of: 'mean.seams', label: text.meanSeams, ...counting },
      { of: 'mean.colonies', as: 'whole', label: text.meanColonies, ...counting },
      { of: 'size.colonies', as: 'whole', label: text.colonies, when: when('size.by', 'colonies') },
      { of: 'size.volume_ml', unit: 'mL', label: text.volume, when: when('size.by', 'volume') },
      {
        of: 'size.reserve_percent',
        label: text.reserve,
        unit: '%',
        when: when('size.by', 'boards', 'count'),
      },
    ],
  },
  {
    title: text.applicator,
    entries: [
      {
        of: 'applicator.device',
        label: text.applicator,
        options: text.devices,
        also: (t) => void (t['applicator.unit_ml'] = ''),
      },
      {
        of: 'applicator.size_ml',
        label: text.syringeSize,
        unit: 'mL',
        when: when('applicator.device', 'syringe'),
      },
      {
        of: 'applicator.unit_ml',
        label: (t) => text.unit[device(t)],
        unit: 'mL',
        placeholder: (t) => (device(t) === 'sprayer' ? '' : text.usual),
      },
      { of: 'applicator.dead_ml', label: text.dead, unit: 'mL' },
    ],
  },
  {
    title: text.dosing,
    term: 'cap',
    folded: true,
    when: mixed,
    entries: [
      { of: 'rule.full_seam_ml', label: text.perSeam, unit: 'mL' },
      { of: 'rule.cap_ml', label: text.cap, unit: 'mL' },
      { of: 'rule.flat_ml', label: text.flat, unit: 'mL', placeholder: text.bySeam },
      {
        of: 'rule.nuc_flat_ml',
        label: text.nucFlat,
        unit: 'mL',
        placeholder: text.bySeam,
        hint: () => text.flatHint,
      },
    ],
  },
]

/** Where the syrup is kept and used, and what its parts cost. */
export const KEEPING: Panel<Key> = {
  title: '',
  entries: [
    { of: 'fridge_c', as: 'degrees', label: text.fridge },
    { of: 'yard_c', as: 'degrees', label: text.yard },
    { of: 'prices.hold', label: (t) => text.priceOf[t['hold.kind'] as keyof typeof text.priceOf] },
    { of: 'prices.sugar_kg', label: text.priceSugar },
  ],
}

/** What one stroke of an applicator gives, by weighing some of them; asked of the server apart. */
export const CALIBRATION: Panel<Key> = {
  title: '',
  entries: [
    {
      of: 'calibrate.shots',
      at: 'shots',
      as: 'whole',
      label: (t) => text.shots[device(t)],
      first: '10',
    },
    { of: 'calibrate.grams', at: 'grams', label: text.shotsWeigh, unit: 'g' },
    { of: 'calibrate.liquid', at: 'liquid', label: text.calibrate, options: text.liquids },
  ],
}
