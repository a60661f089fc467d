import type { Schemas } from '../../api/client'
import { plain } from '../../kit/format'
import type { Rewrite } from '../../kit/rewrite'
import { given, typed } from '../../kit/reader'

/** What is the dribble's own in a plan being typed. */
export interface DribbleDraft {
  hold: {
    kind: HoldKind
    powder: Record<PowderKind, Powder>
    madeUpTo: string
    volume: string
    stock: { value: string; form: StockForm; basis: Basis | ''; sugar: string }
    card: { name: string; actives: CardActive[]; rows: CardRow[]; repeats: string }
  }
  aim: {
    by: 'protocol' | 'value' | 'packet'
    protocol: string
    value: string
    form: StrengthForm
    basis: Basis | ''
  }
  ratio: string
  thinSugar: string
  size: { by: SizeBy; volume: string; colonies: string; reserve: string }
  mean: { seams: string; colonies: string }
  dosing: { perSeam: string; cap: string; flat: string; nucFlat: string }
  applicator: {
    device: Device
    size: string
    unit: string
    dead: string
    shots: string
    shotsWeigh: string
    liquid: 'water' | 'syrup'
  }
  fridge: string
  yard: string
  prices: { hold: string; sugar: string }
}

export type PowderKind = 'crystals' | 'packet' | 'tablets'
/** Mass held (crystals), of one packet or of one tablet; the acid's share; how many. */
export interface Powder {
  grams: string
  oadPercent: string
  count: string
  /** Its acid is without crystal water. */
  anhydrous?: boolean
  /** The share that was said to be a purity indeed. */
  sureShare?: string
}
export type HoldKind = PowderKind | 'ready_mix' | 'ready_to_use'
export type Basis = 'dihydrate' | 'anhydrous'
export type StockForm = 'g_per_l' | 'percent_wv' | 'percent_ww'
export type StrengthForm = StockForm | 'mg_per_seam' | 'g_per_colony'
/** How the batch is sized; boards and count are both "by seams" to the server. */
export type SizeBy = 'boards' | 'count' | 'colonies' | 'volume' | 'in_hand'
export type Device = 'syringe' | 'bulb' | 'gun' | 'sprayer'

export interface CardActive {
  name: 'oxalic' | 'formic' | 'other'
  gPerL: string
  basis: Basis | ''
}

export interface CardRow {
  upTo: string
  dose: string
}

export const empty = (): DribbleDraft => ({
  hold: {
    kind: 'crystals',
    powder: {
      crystals: { grams: '', oadPercent: '100', count: '' },
      packet: { grams: '35', oadPercent: '', count: '1' },
      tablets: { grams: '1', oadPercent: '100', count: '' },
    },
    madeUpTo: '',
    volume: '',
    stock: { value: '', form: 'percent_wv', basis: '', sugar: '0' },
    card: { name: '', actives: [], rows: [{ upTo: '', dose: '' }], repeats: '' },
  },
  aim: { by: 'protocol', protocol: 'label-litre', value: '', form: 'g_per_l', basis: '' },
  ratio: '',
  thinSugar: '30',
  size: { by: 'boards', volume: '', colonies: '', reserve: '10' },
  mean: { seams: '', colonies: '' },
  dosing: { perSeam: '5', cap: '50', flat: '', nucFlat: '' },
  applicator: {
    device: 'syringe',
    size: '60',
    unit: '',
    dead: '10',
    shots: '10',
    shotsWeigh: '',
    liquid: 'water',
  },
  fridge: '4',
  yard: '4',
  prices: { hold: '', sugar: '' },
})

/** The inverse of read. */
export function adopt(plan: Schemas['DribbleRequest']): DribbleDraft {
  const d = empty()
  const h = plan.hold
  d.hold.kind = h.kind
  if (h.kind === 'crystals' || h.kind === 'packet' || h.kind === 'tablets')
    d.hold.powder[h.kind] = {
      grams: typed(h.grams),
      oadPercent: given(h.oad_percent, h.kind === 'packet' ? '' : '100'),
      count: typed(h.count),
      anhydrous: h.basis === 'anhydrous',
      sureShare: h.sure ? given(h.oad_percent, '') : '',
    }
  d.hold.madeUpTo = typed(h.made_up_to_ml)
  d.hold.volume = typed(h.volume_ml)
  if (h.stock) {
    const { value, form, basis, sugar_percent_ww } = h.stock
    d.hold.stock = { value: typed(value), form, basis: basisOf(basis), sugar: given(sugar_percent_ww, '0') }
  }
  if (h.card)
    d.hold.card = {
      name: h.card.name ?? '',
      repeats: typed(h.card.repeats),
      actives: (h.card.actives ?? []).map((a) => ({
        name: a.name,
        gPerL: typed(a.g_per_l),
        basis: basisOf(a.basis),
      })),
      rows: h.card.rows.map((r) => ({ upTo: typed(r.up_to_bees), dose: typed(r.dose_ml) })),
    }
  const s = plan.strength
  if (s) {
    d.aim.by = s.by
    d.aim.protocol = s.protocol ?? d.aim.protocol
    d.aim.value = typed(s.value)
    d.aim.form = (s.form as DribbleDraft['aim']['form'] | undefined) ?? 'g_per_l'
    d.aim.basis = basisOf(s.basis)
  }
  d.ratio = typed(plan.sugar_per_water)
  d.thinSugar = given(plan.sugar_percent_ww, '30')
  d.size = {
    by: sizeBy(plan),
    volume: typed(plan.size.volume_ml),
    colonies: typed(plan.size.colonies),
    reserve: given(plan.size.reserve_percent, '10'),
  }
  if (plan.mean) d.mean = { seams: typed(plan.mean.seams), colonies: plain(plan.mean.colonies) }
  d.dosing = {
    perSeam: given(plan.rule?.full_seam_ml, '5'),
    cap: given(plan.rule?.cap_ml, '50'),
    flat: typed(plan.rule?.flat_ml),
    nucFlat: typed(plan.rule?.nuc_flat_ml),
  }
  if (plan.applicator)
    d.applicator = {
      ...d.applicator,
      device: plan.applicator.device,
      size: given(plan.applicator.size_ml, '60'),
      unit: typed(plan.applicator.unit_ml),
      dead: given(plan.applicator.dead_ml, '10'),
    }
  d.fridge = given(plan.fridge_c, '4')
  d.yard = given(plan.yard_c, '4')
  d.prices = { hold: typed(plan.prices?.hold), sugar: typed(plan.prices?.sugar_kg) }
  return d
}

const basisOf = (basis: string | undefined) => (basis === 'dihydrate' || basis === 'anhydrous' ? basis : '')

function sizeBy(plan: Schemas['DribbleRequest']): SizeBy {
  if (plan.size.by !== 'seams') return plan.size.by
  return plan.mean ? 'count' : 'boards'
}

export const inUnits = (d: DribbleDraft, again: Rewrite): DribbleDraft => ({
  ...d,
  hold: { ...d.hold, volume: again.volume(d.hold.volume), madeUpTo: again.volume(d.hold.madeUpTo) },
  size: { ...d.size, volume: again.volume(d.size.volume) },
  fridge: again.degrees(d.fridge),
  yard: again.degrees(d.yard),
})
