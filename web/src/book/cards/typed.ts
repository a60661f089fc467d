import type { Schemas } from '../../api/client'
import { Reader } from '../../kit/reader'

export type Card = Schemas['LabelCard']
type Content = Card['content']

/** The part of a card that holds its dose. */
export type Part = 'rule' | 'strip' | 'pad' | 'amount'

/** The figures of all cards. */
export const FIGURES = [
  'min_c',
  'max_c',
  'days_in_low',
  'days_in_high',
  'repeats',
  'days_apart',
  'withdrawal_days',
] as const

/** The figures of each kind of dose. */
export const DOSES = {
  rule: ['full_seam_ml', 'cap_ml'],
  strip: ['each', 'frames'],
  pad: ['formic_g', 'each', 'visits'],
  amount: ['ml', 'visits'],
} as const

export const partOf = ({ amount, pad, strip }: Content): Part =>
  amount ? 'amount' : pad ? 'pad' : strip ? 'strip' : 'rule'

/** A card as it is being typed; an empty figure is one that the label does not say. */
export interface Typed {
  name: string
  contents: string
  preparation: string
  broodless: boolean
  out_of_honey: boolean
  swap?: boolean
  supers: Content['supers']
  /** What the dose goes by: bees, a box, a comb, a hive. */
  by: string
  figures: Record<string, string>
  /** The label's table from bees to mL. */
  rows: { bees: string; ml: string }[]
}

const said = (v: number | undefined) => (v === undefined ? '' : String(v))

export function typed({ name, content: k }: Card): Typed {
  const part = partOf(k)
  const dose = k[part] as Record<string, number> | undefined
  return {
    name,
    contents: k.contents ?? '',
    preparation: k.preparation ?? '',
    broodless: k.broodless ?? false,
    out_of_honey: k.out_of_honey ?? false,
    swap: k.swap ?? false,
    supers: k.supers,
    by: k.strip?.by ?? k.pad?.per ?? k.amount?.per ?? '',
    figures: Object.fromEntries([
      ...FIGURES.map((f) => [f, said(k[f])]),
      ...DOSES[part].map((f) => [`dose.${f}`, said(dose?.[f])]),
    ]) as Record<string, string>,
    rows: (k.dribble?.rows ?? []).map((r) => ({ bees: said(r.up_to_bees), ml: said(r.dose_ml) })),
  }
}

/** What is typed, as it is sent, and what of it is no figure; the server says what is missing. */
export function read(t: Typed, was: Content): { content: Content; faults: Record<string, string> } {
  const reader = new Reader('metric')
  const part = partOf(was)
  const figure = (f: string, path = f) => reader.number(`content.${path}`, t.figures[f] ?? '')
  const dose = Object.fromEntries(DOSES[part].map((f) => [f, figure(`dose.${f}`, `${part}.${f}`)]))
  const by = part === 'strip' ? { by: t.by } : part === 'rule' ? {} : { per: t.by }
  const rows = t.rows
    .map((r, i) => ({
      up_to_bees: reader.number(`content.dribble.rows[${i}].up_to_bees`, r.bees),
      dose_ml: reader.number(`content.dribble.rows[${i}].dose_ml`, r.ml),
    }))
    .flatMap(({ up_to_bees, dose_ml }) => (dose_ml === undefined ? [] : [{ up_to_bees, dose_ml }]))
  const { contents, preparation, broodless, out_of_honey, supers, swap = false } = t
  const content = {
    ...was,
    contents,
    preparation,
    broodless,
    out_of_honey,
    swap,
    supers,
    ...Object.fromEntries(FIGURES.map((f) => [f, figure(f)])),
    min_c: figure('min_c') ?? NaN,
    max_c: figure('max_c') ?? NaN,
    [part]: { ...was[part], ...dose, ...by },
    dribble: part === 'rule' && rows.length > 0 ? { rows, repeats: figure('repeats') } : undefined,
  }
  return { content, faults: reader.faults }
}
