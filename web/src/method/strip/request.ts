import { anyBees } from '../../hive/hive'
import { readColonies } from '../../hive/request'
import { Reader, type Reading } from '../../kit'
import { BALANCE } from '../balance'
import * as form from '../../kit/entries'
import type { Draft } from '../draft'
import { KEEPING, PANELS, type Request, type StripTyped } from './fields'

const ALL = [...PANELS, KEEPING]

export const begin = (usual: form.Usual): StripTyped => form.begin(ALL, usual)

export const inUnits = (t: StripTyped, to: Draft['units']) => form.inUnits(ALL, t, to)

/** The request that a draft stands for, in metric units whatever was typed in. */
export function read(draft: Draft): Reading<Request> {
  const t = draft.strip
  const reader = new Reader(draft.units)
  const request = { ...form.read(ALL, t, reader), ...form.read([BALANCE], draft.balance, reader) } as Request
  if (t['recipe.protocol'] === 'own') delete request.recipe.protocol
  if (t['number.by'] === 'usual') delete request.number
  if (request.carried?.grams === undefined) delete request.carried
  request.between_boxes = t.carrier === 'sponge' && t.between_boxes === 'between'
  // None while only a number is asked for and no bees are drawn.
  const by = t['size.by']
  const drawn = by === 'colonies' || (by !== 'count' && anyBees(draft.colonies)) ? draft.colonies : []
  request.colonies = readColonies(drawn, reader).map((c, i) => ({
    ...c,
    placed: drawn[i]?.placed ?? undefined,
  }))
  return { request, faults: reader.faults }
}

/** The inverse of read. */
export function adopt(request: Request, begun: StripTyped): StripTyped {
  const { recipe, number } = request
  return form.adopt(
    ALL,
    {
      ...request,
      recipe: { ...recipe, protocol: recipe.protocol ?? 'own' },
      number: number ?? { by: 'usual' },
      stays_ml: request.stays_ml ?? 0,
    },
    {
      ...begun,
      per: recipe.glycerol_g ? 'g' : 'ml',
      between_boxes: request.between_boxes ? 'between' : 'each',
    },
  )
}
