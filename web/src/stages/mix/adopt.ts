import { plain } from '../../units/format'
import { comb, emptyDraft, type Draft, type DraftColony, type SizeBy } from './draft'
import type { PlanRequest } from './request'

const typed = (v: number | undefined) => (v === undefined || v === 0 ? '' : String(Number(v.toFixed(6))))
const given = (v: number | undefined, otherwise: string) => (v === undefined ? otherwise : String(v))

/** A draft from a kept or offered plan: the inverse of read, in metric units. */
export function adopt(plan: PlanRequest, place: string, rule = ''): Draft {
  const d = emptyDraft()
  d.place = place
  d.rule = rule
  const h = plan.hold
  d.hold.kind = h.kind
  if (h.kind === 'crystals' || h.kind === 'packet' || h.kind === 'tablets')
    d.hold.powder[h.kind] = {
      grams: typed(h.grams),
      oadPercent: given(h.oad_percent, h.kind === 'packet' ? '' : '100'),
      count: typed(h.count),
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
    d.aim.school = s.school ?? d.aim.school
    d.aim.value = typed(s.value)
    d.aim.form = (s.form as Draft['aim']['form'] | undefined) ?? 'g_per_l'
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
  d.colonies = (plan.colonies ?? []).map(colony)
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
  d.balance = given(plan.balance_g, '0.1')
  d.fridge = given(plan.fridge_c, '4')
  d.yard = given(plan.yard_c, '4')
  d.prices = { hold: typed(plan.prices?.hold), sugar: typed(plan.prices?.sugar_kg) }
  return d
}

const basisOf = (basis: string | undefined) => (basis === 'dihydrate' || basis === 'anhydrous' ? basis : '')

function sizeBy(plan: PlanRequest): SizeBy {
  if (plan.size.by !== 'seams') return plan.size.by
  return plan.mean ? 'count' : 'boards'
}

function colony(c: NonNullable<PlanRequest['colonies']>[number]): DraftColony {
  return {
    key: crypto.randomUUID(),
    name: c.name,
    nuc: c.nuc ?? false,
    boxes: c.boxes.map((b) => {
      const slots = (b.slots as DraftColony['boxes'][number]['slots'] | undefined) ?? comb(b.frames ?? 10)
      const seams = Array.from({ length: slots.length + 1 }, (_, i) => b.seams?.[i] ?? 0)
      return {
        depth: b.kind,
        slots,
        seams: b.counted === undefined ? seams : null,
        counted: typed(b.counted),
      }
    }),
  }
}
