import { batchesQuery, FaultLine, named, Pick, tenths } from '../../kit'
import { useQuery } from '@tanstack/react-query'
import type { Schemas } from '../../api/client'
import type { Change } from '../draft'
import type { StripTyped } from './fields'
import { text } from './text'

/** The earlier pot that some is left of, and what it holds. */
export function CarriedFrom({ typed, change }: { typed: StripTyped; change: Change<StripTyped> }) {
  const pots = useQuery({ ...batchesQuery, select: ({ batches }) => batches.filter(pourable) })
  const choose = (id: string) =>
    change((t) => {
      t.parent = id
      const pot = pots.data?.find((p) => p.id === id)
      if (!pot) return
      t['carried.oad_percent'] = percent(pot, 'oxalic_acid_dihydrate')
      t['carried.water_percent'] = percent(pot, 'water')
      if (pot.leftover) t['carried.grams'] = String(Math.floor(pot.on_hand.left * 10) / 10)
    })
  return (
    <>
      <Pick
        label={text.carriedFrom}
        value={typed.parent ?? ''}
        none={text.carriedUnsaved}
        options={named(
          pots.data?.map((p) => ({
            id: p.id,
            name: p.leftover
              ? p.name + text.carriedLeft(tenths(p.on_hand.left), p.on_hand.keeps === 'past')
              : p.name,
          })),
        )}
        onChange={choose}
      />
      <FaultLine path="parent_id" />
    </>
  )
}

/** What a pot left over and is still there; or a pot that was never at the bench, of which nobody knows. */
const pourable = (b: Schemas['BatchSummary']) =>
  b.method === 'strip' && !b.voided_at && (b.leftover ? b.on_hand.left > 0 : b.state === 'planned')

/** A saved pot's share of a substance, as it would be typed. */
function percent(pot: Schemas['BatchSummary'], name: string) {
  const all = pot.composition.reduce((sum, c) => sum + c.grams, 0)
  const grams = pot.composition.find((c) => c.name === name)?.grams ?? 0
  return String(Number(((100 * grams) / all).toFixed(2)))
}
