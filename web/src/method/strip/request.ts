import type { Schemas } from '../../api/client'
import type { Draft } from '../draft'
import { anyBees, type DraftColony } from '../../hive/hive'
import { readColonies } from '../../hive/request'
import { Reader, type Reading } from '../../kit/reader'
import type { StripDraft } from './draft'

export type Request = Schemas['StripRequest']
export type Answer = Schemas['StripAnswer']

/** The request that a draft stands for, in metric units whatever was typed in. */
export function read(draft: Draft): Reading<Request> {
  const r = new Reader(draft.units)
  const d = draft.strip
  const colonies = drawn(draft)
  const request: Request = {
    recipe: readRecipe(d.recipe, r),
    glycerol_percent: r.number('glycerol_percent', d.glycerol),
    ...(d.anhydrous ? { acid_basis: 'anhydrous' } : {}),
    warm_to_c: r.degrees('warm_to_c', d.warmTo),
    carrier: d.carrier,
    between_boxes: d.carrier === 'sponge' && d.between,
    number: readNumber(d.number, r),
    uptake_g: r.number('uptake_g', d.uptake[d.carrier]),
    stays_ml: r.volume('stays_ml', d.stays),
    size: readSize(d.size, r),
    colonies: readColonies(colonies, r).map((c, i) => ({ ...c, placed: colonies[i]?.placed ?? undefined })),
    headroom_percent: r.number('headroom_percent', d.headroom),
    jig: { slots: r.whole('jig.slots', d.jig.slots), most: r.whole('jig.most', d.jig.most) },
    balance_g: r.number('balance_g', draft.balance),
    balance_capacity_g: r.number('balance_capacity_g', draft.capacity),
    prices: {
      acid_kg: r.number('prices.acid_kg', d.prices.acid),
      glycerol_l: r.number('prices.glycerol_l', d.prices.glycerol),
      strip: r.number('prices.strip', d.prices.strip),
    },
  }
  const grams = r.number('carried.grams', d.carried.grams)
  if (grams !== undefined)
    request.carried = {
      grams,
      oad_percent: r.number('carried.oad_percent', d.carried.oad) ?? 0,
      water_percent: r.number('carried.water_percent', d.carried.water),
    }
  return { request, faults: r.faults }
}

function readNumber(d: StripDraft['number'], r: Reader): Request['number'] {
  if (d.by === 'usual') return undefined
  return {
    by: d.by,
    each: r.whole('number.each', d.each),
    frames: r.number('number.frames', d.frames),
    most_per_box: r.whole('number.most_per_box', d.most),
  }
}

function readRecipe(d: StripDraft['recipe'], r: Reader): Request['recipe'] {
  if (d.by === 'protocol') return { protocol: d.protocol }
  const path = d.per === 'ml' ? 'recipe.glycerol_ml' : 'recipe.glycerol_g'
  const glycerol = r.number(path, d.glycerol)
  return {
    oad_g: r.number('recipe.oad_g', d.oad),
    ...(d.per === 'ml' ? { glycerol_ml: glycerol } : { glycerol_g: glycerol }),
  }
}

/** Only what the chosen way needs is sent. */
function readSize(d: StripDraft['size'], r: Reader): Request['size'] {
  switch (d.by) {
    case 'colonies':
      return { by: d.by }
    case 'count':
      return {
        by: d.by,
        colonies: r.whole('size.colonies', d.colonies),
        each: r.number('size.each', d.each),
      }
    case 'strips':
      return { by: d.by, strips: r.whole('size.strips', d.strips) }
    case 'acid':
      return { by: d.by, acid_g: r.number('size.acid_g', d.acid) }
    case 'glycerol':
      return { by: d.by, glycerol_ml: r.volume('size.glycerol_ml', d.glycerol) }
    case 'times':
      return { by: d.by, times: r.number('size.times', d.times) }
    case 'volume':
      return { by: d.by, volume_ml: r.volume('size.volume_ml', d.volume) }
  }
}

/** The hives that strips are placed in: none while only a number is asked for and no bees are drawn. */
function drawn({ strip, colonies }: Draft): readonly DraftColony[] {
  const { by } = strip.size
  return by === 'colonies' || (by !== 'count' && anyBees(colonies)) ? colonies : []
}
