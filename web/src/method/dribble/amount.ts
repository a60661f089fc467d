import type { Schemas } from '../../api/client'
import type { Core } from '../../core/core'
import { gapsOf } from '../../hive/seams'
import { plain, tenths } from '../../kit'
import { refused, warned, type Amount, type From, type Hive } from '../amount'
import { drawing } from './draws'
import { withDoses } from './gaps'
import { text } from './text'

/** Any strength does to share a dose out while no jar is chosen: the mL do not depend on it. */
const USUAL = 35

/** What a hive gets of a syrup. */
export function amountOf(
  core: Core,
  base: Schemas['DribbleRequest'],
  hive: Hive,
  from: From,
  fromAbove: boolean,
): Amount {
  const rule = { ...base.rule, from_above: fromAbove }
  const gPerL = from?.g_per_l
  // A label has a table of its own, which goes with the product and not with a strength.
  const { answer, faults } = base.hold.card
    ? core.plan({ ...base, colonies: [hive], mean: undefined, size: { by: 'seams' }, rule })
    : core.dose({ colonies: [hive], g_per_l: gPerL ?? USUAL, applicator: base.applicator, rule })
  const dose = answer?.doses[0]
  if (!dose) return refused('ml', faults)
  const device = base.applicator?.device ?? 'syringe'
  const drawn = drawing(dose.draws, device)
  const acid = base.hold.card || gPerL ? plain(Math.round(dose.mg_per_seam)) : ''
  return {
    figure: dose.ml,
    unit: 'ml',
    words: 'mL',
    boxes: dose.boxes.map((b) => b.ml),
    draws: device === 'syringe' && drawn ? text.drawUp(drawn) : drawn,
    each: dose.seam_ml > 0 ? text.eachSeam(tenths(dose.seam_ml), acid) : '',
    why: dose.capped ? text.capGiven(plain(dose.asked_ml), plain(dose.ml)) : '',
    warnings: warned(answer.notes),
    board: (box, i) => withDoses(gapsOf(box, dose.boxes[i]?.gaps), dose.boxes[i]),
  }
}
