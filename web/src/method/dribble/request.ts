import { anyBees } from '../../hive/hive'
import { readColonies } from '../../hive/request'
import { given, Reader, type Reading, typed } from '../../kit'
import { BALANCE } from '../balance'
import * as form from '../../kit/entries'
import type { Draft } from '../draft'
import { readLabel } from './label'
import { CALIBRATION, KEEPING, PANELS, type DribbleTyped, type PowderKind, type Request } from './fields'

export const begin = (usual: form.Usual): DribbleTyped => form.begin([...PANELS, KEEPING, CALIBRATION], usual)

export const inUnits = (t: DribbleTyped, to: Draft['units']) => form.inUnits([...PANELS, KEEPING], t, to)

/** The request that a draft stands for, in metric units whatever was typed in. */
export function read(draft: Draft): Reading<Request> {
  const t = draft.dribble
  const reader = new Reader(draft.units)
  const request = {
    ...form.read([...PANELS, KEEPING], t, reader),
    ...form.read([BALANCE], draft.balance, reader),
  } as Request
  const by = t['size.by']
  if (by === 'boards' || by === 'count') request.size.by = 'seams'
  const kind = t['hold.kind'] as PowderKind
  if (t[`${kind}.share`] && t[`${kind}.share`] === t[`${kind}.sure`]) request.hold.sure = true
  if (t['hold.kind'] === 'ready_to_use') request.hold.card = readLabel(draft.label, reader)
  // None while only a count or a volume is asked for and no bees are drawn.
  const dosed = by === 'boards' || (by !== 'count' && anyBees(draft.colonies))
  request.colonies = readColonies(dosed ? draft.colonies : [], reader)
  return { request, faults: reader.faults }
}

/** The inverse of read. */
export function adopt(request: Request, begun: DribbleTyped): DribbleTyped {
  const { size, mean, hold } = request
  const by = size.by !== 'seams' ? size.by : mean ? 'count' : 'boards'
  const t = form.adopt([...PANELS, KEEPING], { ...request, size: { ...size, by } }, begun)
  if (hold.kind === 'packet') t['packet.count'] = typed(hold.count)
  if (hold.sure) t[`${hold.kind as PowderKind}.sure`] = given(hold.oad_percent, '')
  return t
}
