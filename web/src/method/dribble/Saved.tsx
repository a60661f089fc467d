import type { Schemas } from '../../api/client'
import { plain } from '../../kit'
import { savedSlip } from '../docketProps'
import type { Worked } from '../kind'
import { SavedHives } from '../../hive/SavedHives'
import { adoptColonies } from '../../hive/request'
import { gapsOf } from '../../hive/seams'
import { withDoses } from './gaps'
import { DribbleDocket } from './Docket'
import { text } from './text'

/** A saved batch of syrup, as it was worked out then. */
export function SavedDocket({ batch }: { batch: Schemas['Batch'] }) {
  const { recipe, answer } = batch
  if (!recipe.dribble || !answer.dribble) return null
  return <DribbleDocket answer={answer.dribble} request={recipe.dribble} slip={savedSlip(batch)} />
}

/** Its hives from above, as they were dosed. */
export function SavedBoards({ batch }: { batch: Worked }) {
  const doses = batch.answer.dribble?.doses ?? []
  return (
    <SavedHives
      colonies={adoptColonies(batch.recipe.dribble?.colonies)}
      figure={(i) => text.ml(plain(doses[i]?.ml ?? 0))}
      board={(box, i, b) => ({ gaps: withDoses(gapsOf(box, doses[i]?.boxes[b]?.gaps), doses[i]?.boxes[b]) })}
    />
  )
}
