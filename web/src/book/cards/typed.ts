import type { Schemas } from '../../api/client'
import {
  adopt,
  begin,
  type Entry,
  inUnits,
  type Panel,
  read as readForm,
  Reader,
  type Typed as Asked,
  us,
  ways,
  when,
} from '../../kit'
import { adoptRows, readRows, type LabelRow } from '../../method/dribble/label'
import { text } from './text'

export type Card = Schemas['LabelCard']
type Content = Card['content']

/** The part of a card that holds its dose. */
export type Part = 'rule' | 'strip' | 'pad' | 'amount'

export const partOf = ({ amount, pad, strip }: Content): Part =>
  amount ? 'amount' : pad ? 'pad' : strip ? 'strip' : 'rule'

const figure = (path: string, label: string, unit?: string): Entry<string> => ({
  of: `content.${path}`,
  label,
  ...(unit && { unit }),
})

const byBees = when('content.strip.by', 'bees')

/** What each kind of dose asks. */
const DOSES: Record<Part, Entry<string>[]> = {
  rule: [figure('rule.full_seam_ml', text.full_seam_ml, 'mL'), figure('rule.cap_ml', text.cap_ml, 'mL')],
  strip: [
    { of: 'content.strip.by', label: text.dose, options: text.stripBy },
    { ...figure('strip.each', text.each), when: (t) => !byBees(t) },
    { ...figure('strip.frames', text.frames), when: byBees },
  ],
  pad: [
    { of: 'content.pad.per', label: text.dose, options: text.padPer },
    figure('pad.formic_g', text.formic_g, 'g'),
    figure('pad.each', text.padEach),
    figure('pad.visits', text.padVisits),
  ],
  amount: [
    { of: 'content.amount.per', label: text.dose, options: text.amountPer },
    figure('amount.ml', text.amountMl, 'mL'),
    figure('amount.visits', text.padVisits),
    figure('amount.wick_one_cm2', text.wickOne, 'cm²'),
    figure('amount.wick_more_cm2', text.wickMore, 'cm²'),
  ],
}

/** A card, copied field by field: what it is called and holds, its dose, its conditions. */
export const panelsOf = (card: Card): Record<'named' | 'dose' | 'conditions' | 'print', Panel<string>> => ({
  named: {
    title: '',
    entries: [{ of: 'name', as: 'words', label: text.name, most: 80 }],
  },
  print: {
    title: '',
    entries: [
      { of: 'content.contents', as: 'lines', label: text.contents },
      { of: 'content.preparation', as: 'lines', label: text.preparation },
      { of: 'content.spent', as: 'lines', label: text.spent },
    ],
  },
  dose: { title: '', entries: DOSES[partOf(card.content)] },
  conditions: {
    title: '',
    entries: [
      { ...figure('min_c', text.min_c), as: 'degrees' },
      { ...figure('max_c', text.max_c), as: 'degrees' },
      { of: 'content.supers', label: text.supers, titled: true, options: text.supersWords },
      { of: 'content.broodless', as: 'tick', label: text.broodless },
      { of: 'content.out_of_honey', as: 'tick', label: text.out_of_honey },
      { of: 'content.swap', as: 'tick', label: text.swap, when: () => card.method === 'pad' },
      figure('days_in_low', text.days_in_low),
      figure('days_in_high', text.days_in_high),
      figure('repeats', text.repeats),
      figure('days_apart', text.days_apart),
      figure('withdrawal_days', text.withdrawal_days),
    ],
  },
})

/** A card as it is being typed; an empty figure is one that the label does not say. */
export interface Typed {
  asked: Asked<string>
  /** The label's table from bees to mL. */
  rows: LabelRow[]
}

export function typed(card: Card): Typed {
  const panels = Object.values(panelsOf(card))
  const asked = adopt(panels, card, begin(panels, {}))
  return {
    asked: us() ? inUnits(panels, asked, 'us') : asked,
    rows: adoptRows(card.content.dribble?.rows ?? []),
  }
}

/** What is typed, as it is sent, and what of it is no figure; the server says what is missing. */
export function read({ asked, rows }: Typed, card: Card) {
  const reader = new Reader(ways().units)
  const panels = panelsOf(card)
  const { name, content } = readForm(Object.values(panels), asked, reader) as {
    name: string
    content: Partial<Content>
  }
  const part = partOf(card.content)
  const table = readRows(rows, 'content.dribble.rows', reader)
  // What the form does not ask of the dose stays; what was cleared goes.
  const asks = panels.dose.entries.map((e) => e.of.split('.')[2])
  const unasked = Object.entries(card.content[part] ?? {}).filter(([key]) => !asks.includes(key))
  return {
    name,
    content: {
      ...content,
      min_c: content.min_c ?? NaN,
      max_c: content.max_c ?? NaN,
      [part]: { ...Object.fromEntries(unasked), ...content[part] },
      dribble: part === 'rule' && table.length > 0 ? { rows: table, repeats: content.repeats } : undefined,
    } as Content,
    faults: reader.faults,
  }
}
