import type { Schemas } from '../../api/client'
import { fahrenheitToCelsius, fluidOuncesToML } from '../../units/format'
import type { Draft, DraftBox, DraftColony } from './draft'
import { text } from './text'

export type PlanRequest = Schemas['PlanRequest']

/** Reads typed figures, and keeps a word for each that is none. */
class Reader {
  readonly faults: Record<string, string> = {}

  /** A figure, or undefined when nothing was typed. */
  number(path: string, typed: string): number | undefined {
    const clean = typed.trim().replace(',', '.')
    if (clean === '') return undefined
    if (!/^[-+]?(\d+\.?\d*|\.\d+)$/.test(clean)) {
      this.faults[path] = text.notANumber
      return undefined
    }
    return Number(clean)
  }

  whole(path: string, typed: string): number | undefined {
    const n = this.number(path, typed)
    if (n !== undefined && !Number.isInteger(n)) {
      this.faults[path] = text.notWhole
      return undefined
    }
    return n
  }
}

export interface Reading {
  request: PlanRequest
  /** What could not be read at all, by path. */
  faults: Record<string, string>
}

/** The request that a draft stands for, in metric units whatever was typed in. */
export function read(draft: Draft): Reading {
  const r = new Reader()
  const us = draft.units === 'us'
  const volume = (path: string, typed: string) => {
    const v = r.number(path, typed)
    return v !== undefined && us ? fluidOuncesToML(v) : v
  }
  const degrees = (path: string, typed: string) => {
    const v = r.number(path, typed)
    return v !== undefined && us ? fahrenheitToCelsius(v) : v
  }
  const a = draft.applicator
  const request: PlanRequest = {
    hold: readHold(draft, r, volume),
    strength: {
      by: draft.hold.kind === 'packet' || draft.aim.by !== 'packet' ? draft.aim.by : 'school',
      school: draft.aim.school,
      value: r.number('strength.value', draft.aim.value),
      form: draft.aim.form,
      basis: draft.aim.basis,
    },
    sugar_per_water: r.number('sugar_per_water', draft.ratio),
    sugar_percent_ww: r.number('sugar_percent_ww', draft.thinSugar),
    size: {
      by: draft.size.by === 'boards' || draft.size.by === 'count' ? 'seams' : draft.size.by,
      volume_ml: draft.size.by === 'volume' ? volume('size.volume_ml', draft.size.volume) : undefined,
      colonies: draft.size.by === 'colonies' ? r.whole('size.colonies', draft.size.colonies) : undefined,
      reserve_percent: r.number('size.reserve_percent', draft.size.reserve),
    },
    colonies: dosed(draft).map((c, i) => readColony(c, `colonies[${i}]`, r)),
    rule: {
      full_seam_ml: r.number('rule.full_seam_ml', draft.dosing.perSeam),
      cap_ml: r.number('rule.cap_ml', draft.dosing.cap),
      flat_ml: r.number('rule.flat_ml', draft.dosing.flat),
      nuc_flat_ml: r.number('rule.nuc_flat_ml', draft.dosing.nucFlat),
    },
    applicator: {
      device: a.device,
      size_ml: a.device === 'syringe' ? r.number('applicator.size_ml', a.size) : undefined,
      unit_ml: r.number('applicator.unit_ml', a.unit),
      dead_ml: r.number('applicator.dead_ml', a.dead),
    },
    balance_g: r.number('balance_g', draft.balance),
    fridge_c: degrees('fridge_c', draft.fridge),
    yard_c: degrees('yard_c', draft.yard),
    prices: {
      hold: r.number('prices.hold', draft.prices.hold),
      sugar_kg: r.number('prices.sugar_kg', draft.prices.sugar),
    },
  }
  if (draft.size.by === 'count')
    request.mean = {
      seams: r.number('mean.seams', draft.mean.seams) ?? 0,
      colonies: r.whole('mean.colonies', draft.mean.colonies) ?? 0,
    }
  return { request, faults: r.faults }
}

function readHold(draft: Draft, r: Reader, volume: (path: string, typed: string) => number | undefined) {
  const h = draft.hold
  const hold: PlanRequest['hold'] = { kind: h.kind }
  switch (h.kind) {
    case 'crystals':
    case 'packet':
    case 'tablets':
      hold.grams = r.number('hold.grams', h.powder[h.kind].grams)
      hold.oad_percent = r.number('hold.oad_percent', h.powder[h.kind].oadPercent)
      if (h.kind !== 'crystals') hold.count = r.number('hold.count', h.powder[h.kind].count)
      if (h.kind === 'packet') hold.made_up_to_ml = volume('hold.made_up_to_ml', h.madeUpTo)
      break
    case 'ready_mix':
      hold.volume_ml = volume('hold.volume_ml', h.volume)
      hold.stock = {
        value: r.number('hold.stock.value', h.stock.value) ?? 0,
        form: h.stock.form,
        basis: h.stock.basis,
        sugar_percent_ww: r.number('hold.stock.sugar_percent_ww', h.stock.sugar),
      }
      break
    case 'ready_to_use':
      hold.volume_ml = volume('hold.volume_ml', h.volume)
      hold.card = {
        name: h.card.name,
        repeats: r.whole('hold.card.repeats', h.card.repeats),
        actives: h.card.actives.map((x, i) => ({
          name: x.name,
          g_per_l: r.number(`hold.card.actives[${i}].g_per_l`, x.gPerL) ?? 0,
          basis: x.name === 'oxalic' ? x.basis : undefined,
        })),
        rows: h.card.rows.map((x, i) => ({
          up_to_bees: r.whole(`hold.card.rows[${i}].up_to_bees`, x.upTo),
          dose_ml: r.number(`hold.card.rows[${i}].dose_ml`, x.dose) ?? 0,
        })),
      }
  }
  return hold
}

/** The colonies to dose: none while only a count or a volume is asked for and no bees are drawn. */
function dosed(draft: Draft): DraftColony[] {
  const drawn = draft.colonies.some((c) =>
    c.boxes.some((b) => b.seams === null || b.seams.some((s) => s > 0)),
  )
  return draft.size.by === 'boards' || (drawn && draft.size.by !== 'count') ? draft.colonies : []
}

function readColony(c: DraftColony, path: string, r: Reader) {
  return { name: c.name, nuc: c.nuc, boxes: c.boxes.map((b, i) => readBox(b, `${path}.boxes[${i}]`, r)) }
}

function readBox(b: DraftBox, path: string, r: Reader) {
  const counted = b.seams === null ? r.number(`${path}.counted`, fractions(b.counted)) : undefined
  return {
    kind: b.depth,
    slots: b.slots,
    ...(b.seams === null ? { counted: counted ?? 0 } : { seams: b.seams }),
  }
}

/** Lets 5½ be typed for 5.5. */
export const fractions = (typed: string) =>
  typed.replace(/(\d*)\s*([¼½¾])/, (_, whole: string, part: string) =>
    String(Number(whole || 0) + { '¼': 0.25, '½': 0.5, '¾': 0.75 }[part as '¼' | '½' | '¾']),
  )
