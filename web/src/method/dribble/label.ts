import { type Reader, typed } from '../../kit'
import type { Request } from './fields'

type Card = NonNullable<Request['hold']['card']>

/** The label of a ready-to-use product, as the keeper copies it. */
export interface LabelTable {
  name: string
  actives: { name: 'oxalic' | 'formic' | 'other'; gPerL: string; basis: string }[]
  rows: { upTo: string; dose: string }[]
  repeats: string
}

export const blankLabel = (): LabelTable => ({
  name: '',
  actives: [],
  rows: [{ upTo: '', dose: '' }],
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
  rows: l.rows.map((x, i) => ({
    up_to_bees: r.whole(`hold.card.rows[${i}].up_to_bees`, x.upTo),
    dose_ml: r.number(`hold.card.rows[${i}].dose_ml`, x.dose) ?? 0,
  })),
})

/** The inverse of readLabel. */
export const adoptLabel = (card: Card): LabelTable => ({
  name: card.name ?? '',
  repeats: typed(card.repeats),
  actives: (card.actives ?? []).map((a) => ({ name: a.name, gPerL: typed(a.g_per_l), basis: a.basis ?? '' })),
  rows: card.rows.map((r) => ({ upTo: typed(r.up_to_bees), dose: typed(r.dose_ml) })),
})
