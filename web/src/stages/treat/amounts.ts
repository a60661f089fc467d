import type { Schemas } from '../../api/client'
import type { BoardGap } from '../../drawing/Board'
import type { Core } from '../../core/core'
import { plain } from '../../units/format'
import { drawing } from '../mix/dribble/drawing'
import { withDoses } from '../mix/dribble/DribbleCard'
import { gapsOf } from '../mix/hives/seams'
import type { DraftBox } from '../mix/hives/hive'
import { withStrips } from '../mix/strip/StripCard'
import { text } from './text'

type Round = Schemas['RoundDay']
export type Hive = Schemas['Colony']

/** What one colony gets, by core, and how it is drawn. */
export interface Amount {
  figure: number
  unit: 'ml' | 'pieces'
  words: string
  /** By boxes, the lowest first. */
  boxes: number[]
  draws: string
  /** Why it is not what the seams ask. */
  why: string
  board: (box: DraftBox, i: number) => BoardGap[]
}

const nothing = (unit: Amount['unit']): Amount => ({
  figure: 0,
  unit,
  words: '',
  boxes: [],
  draws: '',
  why: '',
  board: (box) => gapsOf(box),
})

interface Known {
  base: Schemas['Recipe']
  gPerL: number | undefined
  fromAbove: boolean
  amount: Amount
}

/** What was answered of each hive as it is drawn; a tapped one is another. */
const known = new WeakMap<Hive, Known>()

/** What a hive gets: the question put to core by the method of the round, once. */
export function amountOf(
  core: Core,
  round: Round,
  hive: Hive,
  gPerL: number | undefined,
  fromAbove: boolean,
): Amount {
  const was = known.get(hive)
  if (was && was.base === round.base && was.gPerL === gPerL && was.fromAbove === fromAbove) return was.amount
  const amount = asked(core, round.base, hive, gPerL, fromAbove)
  known.set(hive, { base: round.base, gPerL, fromAbove, amount })
  return amount
}

function asked(
  core: Core,
  { dribble, strip, pad }: Schemas['Recipe'],
  hive: Hive,
  gPerL: number | undefined,
  fromAbove: boolean,
) {
  if (dribble) return dribbled(core, dribble, hive, gPerL, fromAbove)
  if (strip) return hung(core, strip, hive)
  if (pad) return evaporated(core, pad, hive)
  return nothing('ml')
}

function dribbled(
  core: Core,
  base: Schemas['DribbleRequest'],
  hive: Hive,
  gPerL: number | undefined,
  fromAbove: boolean,
): Amount {
  const rule = { ...base.rule, from_above: fromAbove }
  // A label has a table of its own, which goes with the product and not with a strength.
  const { answer } = base.hold.card
    ? core.plan({ ...base, colonies: [hive], mean: undefined, size: { by: 'seams' }, rule })
    : core.dose({ colonies: [hive], g_per_l: gPerL ?? USUAL, applicator: base.applicator, rule })
  const dose = answer?.doses[0]
  if (!dose) return nothing('ml')
  const device = base.applicator?.device ?? 'syringe'
  return {
    figure: dose.ml,
    unit: 'ml',
    words: text.ml,
    boxes: dose.boxes.map((b) => b.ml),
    draws:
      dose.draws.length === 0
        ? ''
        : device === 'syringe'
          ? text.draw(drawing(dose.draws, device))
          : drawing(dose.draws, device),
    why: dose.capped ? text.asked(plain(dose.asked_ml), plain(dose.ml), dose.seam_ml.toFixed(1)) : '',
    board: (box, i) => withDoses(gapsOf(box, dose.boxes[i]?.gaps), dose.boxes[i]),
  }
}

/** Any strength does to share a dose out: the mL do not depend on it. */
const USUAL = 35

function hung(core: Core, base: Schemas['StripRequest'], hive: Hive): Amount {
  const { answer } = core.place({
    colonies: [hive],
    carrier: base.carrier,
    between_boxes: base.between_boxes,
    number: base.number,
  })
  const row = answer?.colonies[0]
  if (!row) return nothing('pieces')
  const carrier = base.carrier ?? 'strip'
  return {
    figure: row.strips,
    unit: 'pieces',
    words: text.strips(row.strips),
    boxes: row.boxes.map((b) => b.strips),
    draws: '',
    why: '',
    board: (box, i) => withStrips(gapsOf(box, row.boxes[i]?.gaps), row.boxes[i], carrier),
  }
}

function evaporated(core: Core, base: Schemas['PadRequest'], hive: Hive): Amount {
  const { answer } = core.pad({ ...base, colonies: [hive], mean: undefined, size: { by: 'visit' } })
  const given = answer?.given[0]
  if (!given) return nothing(base.hold.kind === 'ready_pads' ? 'pieces' : 'ml')
  const pieces = base.hold.kind === 'ready_pads'
  const figure = pieces ? (given.pads ?? 0) : (given.ml ?? 0)
  return { ...nothing(pieces ? 'pieces' : 'ml'), figure, words: pieces ? text.pads(figure) : text.ml }
}
