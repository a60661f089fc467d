import type { Schemas } from '../../api/client'
import { plain } from '../../kit'
import { savedSlip } from '../docketProps'
import type { Worked } from '../kind'
import { SavedHives } from '../../hive/SavedHives'
import { adoptColonies } from '../../hive/request'
import { gapsOf } from '../../hive/seams'
import type { From } from './fields'
import { lidOf } from './HiveCard'
import { PadDocket } from './Docket'
import { text } from './text'

/** A saved dilution or count of pads, as it was worked out then. */
export function SavedDocket({ batch }: { batch: Schemas['Batch'] }) {
  const { recipe, answer } = batch
  if (!recipe.pad || !answer.pad) return null
  return <PadDocket answer={answer.pad} request={recipe.pad} slip={savedSlip(batch)} />
}

/** Its hives from above, with what each got. */
export function SavedBoards({ batch }: { batch: Worked }) {
  const answer = batch.answer.pad
  const colonies = adoptColonies(batch.recipe.pad?.colonies)
  const rows = answer?.given ?? []
  return (
    <SavedHives
      colonies={colonies}
      figure={(i) => (rows[i]?.ml ? text.mL(plain(rows[i].ml)) : text.pads(rows[i]?.pads ?? 0))}
      board={(box, i, b) => ({
        gaps: gapsOf(box),
        lid: lidOf(rows[i], (answer?.from ?? 'above') as From, b, colonies[i]!.boxes.length),
      })}
    />
  )
}
