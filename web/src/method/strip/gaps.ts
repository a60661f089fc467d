import type { Schemas } from '../../api/client'
import type { BoardGap } from '../../drawing/Board'
import type { Carrier } from './fields'

/** The strips of an answer in the gaps of a board. */
export function withStrips(
  gaps: BoardGap[],
  box: Schemas['StripBox'] | undefined,
  carrier: Carrier,
): BoardGap[] {
  const known = box?.gaps.length === gaps.length ? box.gaps : undefined
  return gaps.map((gap, i) => {
    const k = known?.[i]
    const g = { ...gap, figure: k?.strip ? String(i + 1) : '' }
    if (k?.strip) return { ...g, hung: carrier === 'sponge' ? 'sponge' : k.through ? 'through' : 'strip' }
    return k?.from_above ? { ...g, hung: 'from_above' } : g
  })
}
