import { readColonies } from '../../hive/request'
import { Reader, type Reading } from '../../kit'
import { BALANCE } from '../balance'
import * as form from '../../kit/entries'
import type { Draft } from '../draft'
import { KEEPING, PANELS, type PadTyped, type Request } from './fields'

const ALL = [...PANELS, KEEPING]

export const begin = (usual: form.Usual): PadTyped => form.begin(ALL, usual)

export const inUnits = (t: PadTyped, to: Draft['units']) => form.inUnits(ALL, t, to)

/** The request that a draft stands for, in metric units whatever was typed in. */
export function read(draft: Draft): Reading<Request> {
  const t = draft.pad
  const reader = new Reader(draft.units)
  const request = { ...form.read(ALL, t, reader), ...form.read([BALANCE], draft.balance, reader) } as Request
  if (request.amount?.protocol === 'own') delete request.amount.protocol
  if (request.sheet?.takes_ml === undefined) delete request.sheet
  request.colonies = t.hives === 'drawn' ? readColonies(draft.colonies, reader) : []
  return { request, faults: reader.faults }
}

/** The inverse of read. */
export function adopt(request: Request, begun: PadTyped): PadTyped {
  const { amount, hold, mean, colonies } = request
  return form.adopt(
    ALL,
    { ...request, ...(amount && { amount: { ...amount, protocol: amount.protocol ?? 'own' } }) },
    {
      ...begun,
      strength: hold.reading ? 'density' : 'label',
      hives: mean && !colonies?.length ? 'counted' : 'drawn',
    },
  )
}
