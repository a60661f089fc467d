import type { Schemas } from '../../api/client'
import type { Rewrite } from '../../kit/rewrite'
import { given, typed } from '../../kit/reader'

export type From = 'above' | 'below'
export type Per = 'comb' | 'box' | 'colony'
export type SizeBy = 'visit' | 'course' | 'working' | 'stock' | 'water'

/** What is the pads' own in a plan being typed. */
export interface PadDraft {
  hold: {
    kind: 'acid' | 'ready_pads'
    /** How the acid's strength is known. */
    by: 'label' | 'density'
    percent: string
    reading: { density: string; temp: string; off: string; tempOff: string }
    volume: string
    card: {
      name: string
      formic: string
      per: 'colony' | 'box'
      each: string
      nuc: string
      from: From
      visits: string
      apart: string
    }
    count: string
  }
  working: string
  amount: {
    /** A protocol's id, or own. */
    by: string
    per: Per
    ml: string
    at: string
    from: From
    nuc: string
    cap: string
    visits: string
    apart: string
  }
  size: { by: SizeBy; working: string; stock: string; water: string; reserve: string }
  /** The hives drawn, or so many alike. */
  hives: 'drawn' | 'counted'
  mean: { colonies: string; combs: string; boxes: string }
  sheet: { takes: string; width: string; length: string }
  bottle: string
  price: string
}

export const empty = (): PadDraft => ({
  hold: {
    kind: 'acid',
    by: 'label',
    percent: '',
    reading: { density: '', temp: '', off: '0.001', tempOff: '1' },
    volume: '',
    card: { name: '', formic: '', per: 'colony', each: '2', nuc: '', from: 'above', visits: '1', apart: '' },
    count: '',
  },
  working: '60',
  amount: {
    by: 'sponge-above',
    per: 'comb',
    ml: '',
    at: '',
    from: 'above',
    nuc: '',
    cap: '',
    visits: '',
    apart: '',
  },
  size: { by: 'visit', working: '', stock: '', water: '', reserve: '5' },
  hives: 'drawn',
  mean: { colonies: '', combs: '10', boxes: '1' },
  sheet: { takes: '', width: '', length: '' },
  bottle: '1000',
  price: '',
})

/** The inverse of read. */
export function adopt(plan: Schemas['PadRequest']): PadDraft {
  const d = empty()
  const h = plan.hold
  d.hold.kind = h.kind
  d.hold.percent = typed(h.percent)
  const reading = h.reading
  if (reading) {
    d.hold.by = 'density'
    d.hold.reading = {
      density: typed(reading.g_per_ml),
      temp: given(reading.temp_c, ''),
      off: given(reading.off_g_per_ml, '0.001'),
      tempOff: given(reading.temp_off_c, '1'),
    }
  }
  d.hold.volume = typed(h.volume_ml)
  d.hold.count = typed(h.count)
  if (h.card)
    d.hold.card = {
      name: h.card.name ?? '',
      formic: typed(h.card.formic_g),
      per: h.card.per,
      each: typed(h.card.each),
      nuc: typed(h.card.nuc_each),
      from: h.card.from,
      visits: typed(h.card.visits),
      apart: typed(h.card.days_apart),
    }
  d.working = given(plan.working_percent, d.working)
  const a = plan.amount
  if (a)
    d.amount = {
      by: a.protocol ?? 'own',
      per: (a.per as Per | undefined) ?? d.amount.per,
      ml: typed(a.ml),
      at: typed(a.at_percent),
      from: (a.from as From | undefined) ?? d.amount.from,
      nuc: typed(a.nuc_ml),
      cap: typed(a.cap_ml),
      visits: typed(a.visits),
      apart: typed(a.days_apart),
    }
  const s = plan.size
  if (s?.by)
    d.size = {
      by: s.by as SizeBy,
      working: typed(s.working_ml),
      stock: typed(s.stock_ml),
      water: typed(s.water_g),
      reserve: given(s.reserve_percent, d.size.reserve),
    }
  if (plan.mean && !plan.colonies?.length) {
    d.hives = 'counted'
    d.mean = {
      colonies: typed(plan.mean.colonies),
      combs: typed(plan.mean.combs),
      boxes: given(plan.mean.boxes, '1'),
    }
  }
  if (plan.sheet)
    d.sheet = {
      takes: typed(plan.sheet.takes_ml),
      width: typed(plan.sheet.width_cm),
      length: typed(plan.sheet.length_cm),
    }
  d.bottle = given(plan.bottle_ml, d.bottle)
  d.price = typed(plan.prices?.stock)
  return d
}

export const inUnits = (d: PadDraft, again: Rewrite): PadDraft => ({
  ...d,
  hold: {
    ...d.hold,
    volume: again.volume(d.hold.volume),
    reading: { ...d.hold.reading, temp: again.degrees(d.hold.reading.temp) },
  },
  size: { ...d.size, working: again.volume(d.size.working), stock: again.volume(d.size.stock) },
  bottle: again.volume(d.bottle),
})
