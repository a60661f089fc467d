import type { Schemas } from '../api/client'
import type { BoardGap } from '../drawing/Board'
import type { Core } from '../core/core'
import { plain, tenths } from '../kit/format'
import { drawing } from '../method/dribble/draws'
import { withDoses } from '../method/dribble/HiveCard'
import { gapsOf } from '../hive/seams'
import type { DraftBox } from '../hive/hive'
import { withStrips } from '../method/strip/HiveCard'
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
  /** What a full seam gets. */
  each: string
  /** Why it is not what the seams ask. */
  why: string
  /** What can harm: said beside the figure. */
  warnings: string[]
  board: (box: DraftBox, i: number) => BoardGap[]
}

const nothing = (unit: Amount['unit']): Amount => ({
  figure: 0,
  unit,
  words: '',
  boxes: [],
  draws: '',
  each: '',
  why: '',
  warnings: [],
  board: (box) => gapsOf(box),
})

/** Why there is no figure. */
const refused = (unit: Amount['unit'], faults: Record<string, string> | undefined): Amount => ({
  ...nothing(unit),
  warnings: [...new Set(Object.values(faults ?? {}))],
})

const warned = (notes: readonly Schemas['Note'][] | undefined) =>
  (notes ?? []).filter((n) => n.level === 'warn').map((n) => n.text)

interface Known {
  base: Schemas['Recipe']
  batch: string
  fromAbove: boolean
  amount: Amount
}

/** What was answered of each hive as it is drawn; a tapped one is another. */
const known = new WeakMap<Hive, Known>()

/** Of what is given from, what bears on the amount. */
export type From = Pick<Schemas['RoundBatch'], 'id' | 'g_per_l' | 'oad_mg' | 'base'> | undefined

/** What a hive gets by the plan of what is poured, or else of the job: put to core once. */
export function amountOf(core: Core, round: Round, hive: Hive, from: From, fromAbove: boolean): Amount {
  const batch = `${from?.id} ${from?.g_per_l}`
  const was = known.get(hive)
  if (was && was.base === round.base && was.batch === batch && was.fromAbove === fromAbove) return was.amount
  const amount = asked(core, from?.base ?? round.base, hive, from, fromAbove)
  known.set(hive, { base: round.base, batch, fromAbove, amount })
  return amount
}

function asked(
  core: Core,
  { dribble, strip, pad }: Schemas['Recipe'],
  hive: Hive,
  from: From,
  fromAbove: boolean,
) {
  if (dribble) return dribbled(core, dribble, hive, from?.g_per_l, fromAbove)
  if (strip) return hung(core, strip, hive, from)
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
    words: text.ml,
    boxes: dose.boxes.map((b) => b.ml),
    draws: device === 'syringe' && drawn ? text.draw(drawn) : drawn,
    each: dose.seam_ml > 0 ? text.eachSeam(tenths(dose.seam_ml), acid) : '',
    why: dose.capped ? text.asked(plain(dose.asked_ml), plain(dose.ml)) : '',
    warnings: warned(answer.notes),
    board: (box, i) => withDoses(gapsOf(box, dose.boxes[i]?.gaps), dose.boxes[i]),
  }
}

/** Any strength does to share a dose out while no jar is chosen: the mL do not depend on it. */
const USUAL = 35

function hung(core: Core, base: Schemas['StripRequest'], hive: Hive, from: From): Amount {
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
    words: text.strips(row.strips),
    boxes: row.boxes.map((b) => b.strips),
    warnings: warned(answer.notes),
    board: (box, i) => withStrips(gapsOf(box, row.boxes[i]?.gaps), row.boxes[i], carrier),
  }
}

function evaporated(core: Core, base: Schemas['PadRequest'], hive: Hive): Amount {
  const pieces = base.hold.kind === 'ready_pads'
  const unit = pieces ? 'pieces' : 'ml'
  const { answer, faults } = core.pad({ ...base, colonies: [hive], mean: undefined, size: { by: 'visit' } })
  const given = answer?.given[0]
  if (!given) return refused(unit, faults)
  const figure = pieces ? (given.pads ?? 0) : (given.ml ?? 0)
  return {
    ...nothing(unit),
    figure,
    words: pieces ? text.pads(figure) : text.ml,
    warnings: warned(answer.notes),
  }
}
