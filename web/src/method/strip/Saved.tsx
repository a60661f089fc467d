import type { Schemas } from '../../api/client'
import { savedSlip } from '../docketProps'
import type { Worked } from '../kind'
import { SavedHives } from '../../hive/SavedHives'
import { adoptColonies } from '../../hive/request'
import { gapsOf } from '../../hive/seams'
import { withStrips } from './gaps'
import { StripDocket } from './Docket'
import { text } from './text'

/** A saved pot, as it was worked out then. */
export function SavedDocket({ batch }: { batch: Schemas['Batch'] }) {
  const { recipe, answer } = batch
  if (!recipe.strip || !answer.strip) return null
  return <StripDocket answer={answer.strip} request={recipe.strip} slip={savedSlip(batch)} />
}

/** Its hives from above, with the strips in their gaps. */
export function SavedBoards({ batch }: { batch: Worked }) {
  const rows = batch.answer.strip?.colonies ?? []
  const carrier = batch.recipe.strip?.carrier ?? 'strip'
  return (
    <SavedHives
      colonies={adoptColonies(batch.recipe.strip?.colonies)}
      figure={(i) => text.count(rows[i]?.strips ?? 0, carrier)}
      board={(box, i, b) => ({
        gaps: withStrips(gapsOf(box, rows[i]?.boxes[b]?.gaps), rows[i]?.boxes[b], carrier),
      })}
    />
  )
}
