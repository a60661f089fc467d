import type { Schemas } from '../../api/client'
import type { Core } from '../../core/core'
import { gapsOf } from '../../hive/seams'
import { nothing, refused, warned, type Amount, type From, type Hive } from '../amount'
import { facts } from './facts'
import { withStrips } from './gaps'

/** What a hive gets of strips or sponges. */
export function amountOf(core: Core, base: Schemas['StripRequest'], hive: Hive, from: From): Amount {
  const { answer, faults } = core.place({
    colonies: [hive],
    carrier: base.carrier,
    between_boxes: base.between_boxes,
    number: base.number,
    ...(from ? { piece_oad_g: from.oad_mg / 1000 } : {}),
  })
  const row = answer?.colonies[0]
  if (!row) return refused('pieces', faults)
  const carrier = base.carrier ?? 'strip'
  return {
    ...nothing('pieces'),
    figure: row.strips,
    words: facts.pieces(row.strips),
    boxes: row.boxes.map((b) => b.strips),
    gaps: row.boxes.map((b) => b.gaps.flatMap((g, i) => (g.strip ? [i] : []))),
    warnings: warned(answer.notes),
    board: (box, i) => withStrips(gapsOf(box, row.boxes[i]?.gaps), row.boxes[i], carrier),
  }
}
