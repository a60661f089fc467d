import type { ReactNode } from 'react'
import { Field } from '../kit/Field'
import { Section } from '../kit/Section'
import type { Change, Draft } from './draft'
import { text } from './text'

interface Props {
  draft: Draft
  change: Change
  /** What else a method keeps there. */
  children?: ReactNode
}

/** The balance, and what else is set once: folded away. */
export function BalancePanel({ draft, change, children }: Props) {
  return (
    <Section title={text.bench} folded>
      <Field
        label={text.balance}
        unit="g"
        path="balance_g"
        value={draft.balance}
        onChange={(v) => change((d) => void (d.balance = v))}
      />
      <Field
        label={text.capacity}
        unit="g"
        path="balance_capacity_g"
        placeholder={text.notSaid}
        value={draft.capacity}
        onChange={(v) => change((d) => void (d.capacity = v))}
      />
      {children}
    </Section>
  )
}
