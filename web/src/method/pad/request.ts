import type { Schemas } from '../../api/client'
import type { Draft } from '../draft'
import { readColonies } from '../../hive/request'
import { Reader, type Reading } from '../../kit/reader'
import type { PadDraft } from './draft'

export type Request = Schemas['PadRequest']
export type Answer = Schemas['PadAnswer']

/** The request that a draft stands for, in metric units whatever was typed in. */
export function read(draft: Draft): Reading<Request> {
  const r = new Reader(draft.units)
  const d = draft.pad
  const ready = d.hold.kind === 'ready_pads'
  const request: Request = {
    hold: ready ? readCard(d.hold, r) : readAcid(d.hold, r),
    colonies: d.hives === 'drawn' ? readColonies(draft.colonies, r) : [],
    balance_g: r.number('balance_g', draft.balance),
    balance_capacity_g: r.number('balance_capacity_g', draft.capacity),
    prices: { stock: r.number('prices.stock', d.price) },
  }
  if (d.hives === 'counted')
    request.mean = {
      colonies: r.whole('mean.colonies', d.mean.colonies) ?? 0,
      combs: r.whole('mean.combs', d.mean.combs) ?? 0,
      boxes: r.whole('mean.boxes', d.mean.boxes),
    }
  if (!ready) Object.assign(request, readMixing(d, r))
  return { request, faults: r.faults }
}

/** What only acid that is let down or poured depends on. */
function readMixing(d: PadDraft, r: Reader): Partial<Request> {
  const takes = r.number('sheet.takes_ml', d.sheet.takes)
  return {
    working_percent: r.number('working_percent', d.working),
    amount: readAmount(d.amount, r),
    size: {
      by: d.size.by,
      working_ml: d.size.by === 'working' ? r.volume('size.working_ml', d.size.working) : undefined,
      stock_ml: d.size.by === 'stock' ? r.volume('size.stock_ml', d.size.stock) : undefined,
      water_g: d.size.by === 'water' ? r.number('size.water_g', d.size.water) : undefined,
      reserve_percent: r.number('size.reserve_percent', d.size.reserve),
    },
    bottle_ml: r.volume('bottle_ml', d.bottle),
    ...(takes === undefined
      ? {}
      : {
          sheet: {
            takes_ml: takes,
            width_cm: r.number('sheet.width_cm', d.sheet.width) ?? 0,
            length_cm: r.number('sheet.length_cm', d.sheet.length) ?? 0,
          },
        }),
  }
}

function readAcid(h: PadDraft['hold'], r: Reader): Request['hold'] {
  const volume_ml = r.volume('hold.volume_ml', h.volume)
  if (h.by === 'label') return { kind: 'acid', percent: r.number('hold.percent', h.percent), volume_ml }
  return {
    kind: 'acid',
    volume_ml,
    reading: {
      g_per_ml: r.number('hold.reading.g_per_ml', h.reading.density) ?? 0,
      temp_c: r.degrees('hold.reading.temp_c', h.reading.temp),
      off_g_per_ml: r.number('hold.reading.off_g_per_ml', h.reading.off),
      temp_off_c: r.number('hold.reading.temp_off_c', h.reading.tempOff),
    },
  }
}

function readCard(h: PadDraft['hold'], r: Reader): Request['hold'] {
  const c = h.card
  return {
    kind: 'ready_pads',
    count: r.whole('hold.count', h.count),
    card: {
      name: c.name,
      formic_g: r.number('hold.card.formic_g', c.formic) ?? 0,
      per: c.per,
      each: r.whole('hold.card.each', c.each) ?? 0,
      nuc_each: r.whole('hold.card.nuc_each', c.nuc),
      from: c.from,
      visits: r.whole('hold.card.visits', c.visits) ?? 0,
      days_apart: r.whole('hold.card.days_apart', c.apart),
    },
  }
}

function readAmount(a: PadDraft['amount'], r: Reader): Request['amount'] {
  const course = {
    visits: r.whole('amount.visits', a.visits),
    days_apart: r.whole('amount.days_apart', a.apart),
  }
  if (a.by !== 'own') return { protocol: a.by, ...course }
  return {
    ...course,
    per: a.per,
    ml: r.number('amount.ml', a.ml),
    at_percent: r.number('amount.at_percent', a.at),
    from: a.from,
    nuc_ml: r.number('amount.nuc_ml', a.nuc),
    cap_ml: r.number('amount.cap_ml', a.cap),
  }
}
