import type { Schemas } from '../../api/client'
import type { Draft } from '../draft'
import { anyBees, type DraftColony } from '../../hive/hive'
import { readColonies } from '../../hive/request'
import { Reader, type Reading } from '../../kit/reader'
import type { DribbleDraft } from './draft'

export type Request = Schemas['DribbleRequest']
export type Answer = Schemas['DribbleAnswer']

/** The request that a draft stands for, in metric units whatever was typed in. */
export function read(draft: Draft): Reading<Request> {
  const r = new Reader(draft.units)
  const d = draft.dribble
  const a = d.applicator
  const request: Request = {
    hold: readHold(d.hold, r),
    strength: {
      by: d.hold.kind === 'packet' || d.aim.by !== 'packet' ? d.aim.by : 'protocol',
      protocol: d.aim.protocol,
      value: r.number('strength.value', d.aim.value),
      form: d.aim.form,
      basis: d.aim.basis,
    },
    sugar_per_water: r.number('sugar_per_water', d.ratio),
    sugar_percent_ww: r.number('sugar_percent_ww', d.thinSugar),
    size: {
      by: d.size.by === 'boards' || d.size.by === 'count' ? 'seams' : d.size.by,
      volume_ml: d.size.by === 'volume' ? r.volume('size.volume_ml', d.size.volume) : undefined,
      colonies: d.size.by === 'colonies' ? r.whole('size.colonies', d.size.colonies) : undefined,
      reserve_percent: r.number('size.reserve_percent', d.size.reserve),
    },
    colonies: readColonies(dosed(draft), r),
    rule: {
      full_seam_ml: r.number('rule.full_seam_ml', d.dosing.perSeam),
      cap_ml: r.number('rule.cap_ml', d.dosing.cap),
      flat_ml: r.number('rule.flat_ml', d.dosing.flat),
      nuc_flat_ml: r.number('rule.nuc_flat_ml', d.dosing.nucFlat),
    },
    applicator: {
      device: a.device,
      size_ml: a.device === 'syringe' ? r.number('applicator.size_ml', a.size) : undefined,
      unit_ml: r.number('applicator.unit_ml', a.unit),
      dead_ml: r.number('applicator.dead_ml', a.dead),
    },
    balance_g: r.number('balance_g', draft.balance),
    balance_capacity_g: r.number('balance_capacity_g', draft.capacity),
    fridge_c: r.degrees('fridge_c', d.fridge),
    yard_c: r.degrees('yard_c', d.yard),
    prices: {
      hold: r.number('prices.hold', d.prices.hold),
      sugar_kg: r.number('prices.sugar_kg', d.prices.sugar),
    },
  }
  if (d.size.by === 'count')
    request.mean = {
      seams: r.number('mean.seams', d.mean.seams) ?? 0,
      colonies: r.whole('mean.colonies', d.mean.colonies) ?? 0,
    }
  return { request, faults: r.faults }
}

function readHold(h: DribbleDraft['hold'], r: Reader) {
  const hold: Request['hold'] = { kind: h.kind }
  switch (h.kind) {
    case 'crystals':
    case 'packet':
    case 'tablets':
      hold.grams = r.number('hold.grams', h.powder[h.kind].grams)
      hold.oad_percent = r.number('hold.oad_percent', h.powder[h.kind].oadPercent)
      if (h.powder[h.kind].anhydrous) hold.basis = 'anhydrous'
      if (h.powder[h.kind].oadPercent && h.powder[h.kind].sureShare === h.powder[h.kind].oadPercent)
        hold.sure = true
      if (h.kind !== 'crystals') hold.count = r.number('hold.count', h.powder[h.kind].count)
      if (h.kind === 'packet') hold.made_up_to_ml = r.volume('hold.made_up_to_ml', h.madeUpTo)
      break
    case 'ready_mix':
      hold.volume_ml = r.volume('hold.volume_ml', h.volume)
      hold.stock = {
        value: r.number('hold.stock.value', h.stock.value) ?? 0,
        form: h.stock.form,
        basis: h.stock.basis,
        sugar_percent_ww: r.number('hold.stock.sugar_percent_ww', h.stock.sugar),
      }
      break
    case 'ready_to_use':
      hold.volume_ml = r.volume('hold.volume_ml', h.volume)
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
function dosed({ dribble, colonies }: Draft): readonly DraftColony[] {
  const { by } = dribble.size
  return by === 'boards' || (by !== 'count' && anyBees(colonies)) ? colonies : []
}
