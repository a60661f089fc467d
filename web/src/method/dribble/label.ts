import { type Reader, typed } from '../../kit'
import type { Request } from './fields'

type Card = NonNullable<Request['hold']['card']>

/** A row of a label's table: a hive of up to so many bees gets so many mL. */
export interface LabelRow {
  upTo: string
  dose: string
}

/** The label of a ready-to-use product, as the keeper copies it. */
export interface LabelTable {
  name: string
  actives: { name: 'oxalic' | 'formic' | 'other'; gPerL: string; basis: string }[]
  rows: LabelRow[]
  repeats: string
}

export const emptyRow = (): LabelRow => ({ upTo: '', dose: '' })

/** The rows, for the path of each; one without its dose is sent as such, and refused at its field. */
export const readRows = (rows: readonly LabelRow[], path: string, r: Reader): Card['rows'] =>
  rows.map((x, i) => ({
    up_to_bees: r.whole(`${path}[${i}].up_to_bees`, x.upTo),
    dose_ml: r.number(`${path}[${i}].dose_ml`, x.dose) ?? 0,
  }))

export const adoptRows = (rows: Card['rows']): LabelRow[] =>
  rows.map((r) => ({ upTo: typed(r.up_to_bees), dose: typed(r.dose_ml) }))

export const blankLabel = (): LabelTable => ({
  name: '',
  actives: [],
  rows: [emptyRow()],
  repeats: '',
})

export const readLabel = (l: LabelTable, r: Reader): Card => ({
  name: l.name,
  repeats: r.whole('hold.card.repeats', l.repeats),
  actives: l.actives.map((x, i) => ({
    name: x.name,
    g_per_l: r.number(`hold.card.actives[${i}].g_per_l`, x.gPerL) ?? 0,
    basis: x.name === 'oxalic' ? x.basis : undefined,
  })),
  rows: readRows(l.rows, 'hold.card.rows', r),
})

/** The inverse of readLabel. */
export const adoptLabel = (card: Card): LabelTable => ({
  name: card.name ?? '',
  repeats: typed(card.repeats),
  actives: (card.actives ?? []).map((a) => ({ name: a.name, gPerL: typed(a.g_per_l), basis: a.basis ?? '' })),
  rows: adoptRows(card.rows),
})
