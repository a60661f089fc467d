import type { Schemas } from '../../api/client'
import type { BoardGap } from '../../drawing/Board'
import { plain } from '../../kit'

/** Under each gap its mL; a dot for none, nothing while it is not known. */
export function withDoses(gaps: BoardGap[], dose: Schemas['BoxDose'] | undefined): BoardGap[] {
  const known = dose?.gaps.length === gaps.length ? dose.gaps : undefined
  return gaps.map((g, i) => {
    const ml = known?.[i]?.ml
    return { ...g, figure: ml === undefined ? '' : ml > 0 ? plain(ml) : '·' }
  })
}
