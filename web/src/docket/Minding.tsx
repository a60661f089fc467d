import type { Schemas } from '../api/client'
import { three } from '../kit'
import { Advice } from './Docket'
import { text } from './text'

type Notes = readonly Schemas['Note'][]

const texts = (notes: Notes, warn: boolean) =>
  notes.filter((n) => (n.warn ?? false) === warn).map((n) => n.text)

/** What to act on or decide about. */
export function Warnings({ notes }: { notes: Notes }) {
  return <Advice title={text.notes} harm lines={texts(notes, true)} />
}

/** What only explains. */
export function Asides({ notes }: { notes: Notes }) {
  return <Advice title="" lines={texts(notes, false)} />
}

export interface MindingProps {
  splash: string
  nevers?: string
  keeping: readonly string[]
  /** What is left, in words; empty for nothing. */
  left: string
  neutralise: Schemas['Neutralise']
  /** What else the rest asks for. */
  aftercare?: string
  /** The rule worked under, or undefined for a product by its label. */
  rule?: string
}

/** The cautions at the foot of a docket: splashes, nevers, the rest, keeping, law. */
export function Minding({ splash, nevers, keeping, left, neutralise: n, aftercare, rule }: MindingProps) {
  const rest = []
  if (left && n.leftover_g > 0)
    rest.push(text.neutralise(left, text.grams(three(n.leftover_g)), `${three(n.leftover_gas_l)} L`))
  if (n.whole_g > 0) rest.push(text.neutraliseAll(text.grams(three(n.whole_g))))
  if (rest.length > 0 && aftercare) rest.push(aftercare)
  return (
    <>
      <Advice title={text.splash} harm lines={[splash]} />
      {nevers && <Advice title={text.never} harm lines={[nevers]} />}
      <Advice title={text.leftover} lines={rest} />
      <Advice title={text.keeping} lines={keeping} />
      {rule === undefined ? null : (
        <Advice title={text.law} lines={[rule ? `${text.laws} ${text.ruleNoted(rule)}` : text.laws]} />
      )}
    </>
  )
}
