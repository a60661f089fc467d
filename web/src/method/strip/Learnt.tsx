import { useQuery } from '@tanstack/react-query'
import { ask, Press, three, useStart } from '../../kit'
import type { Change } from '../draft'
import type { Carrier, StripTyped } from './fields'
import { text } from './text'

/** What one's own pots taught of this carrier's uptake, to be planned with. */
export function Learnt({ typed, change }: { typed: StripTyped; change: Change<StripTyped> }) {
  const me = useStart().me
  const learnt = useQuery({ ...ask(['batches', 'uptakes'], '/api/uptakes'), enabled: me !== undefined })
  const carrier = typed.carrier as Carrier
  const own = learnt.data?.learnt.find((l) => l.carrier === carrier)
  if (!own || three(own.each_g) === typed[`uptake.${carrier}`]) return null
  return (
    <Press
      small
      says={text.learnt(three(own.each_g), own.off_g > 0 ? three(own.off_g) : '', own.pots)}
      onPress={() => change((t) => void (t[`uptake.${carrier}`] = three(own.each_g)))}
      data-learnt
    />
  )
}
