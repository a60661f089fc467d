import type { ReactNode } from 'react'
import { Entries, type Edit, type Typed } from '../../kit'
import { Mark } from '../../drawing/Mark'
import styles from './LabelSheet.module.css'
import { Sentence } from './Sentence'
import { text } from './text'
import { panelsOf, partOf, type Card } from './typed'

interface Props {
  card: Card
  typed: Typed<string>
  /** Left out where it is only read. */
  change?: Edit<Typed<string>>
  /** What else stands under the dose. */
  table?: ReactNode
  children?: ReactNode
}

/** The label that a card copies: its sentences as they are printed, filled in where they stand. */
export function LabelSheet({ card, typed, change, table, children }: Props) {
  const panels = panelsOf(card)
  const of = (entries: 'dose' | 'conditions', says: readonly string[]) =>
    says.map((s) => (
      <Sentence key={s} says={s} entries={panels[entries].entries} typed={typed} change={change} />
    ))
  const ticks = panels.conditions.entries.filter((e) => e.as === 'tick' && (e.when?.(typed) ?? true))
  return (
    <article className={styles.label} data-label-sheet>
      <header>
        <Mark method={card.method} />
        {change ? (
          <div className={styles.name}>
            <Entries of={panels.named} typed={typed} change={change} />
          </div>
        ) : (
          <h2>{card.name}</h2>
        )}
      </header>
      <section className={styles.dose}>
        {of('dose', text.says[partOf(card.content)])}
        {table}
      </section>
      <section>
        {of('conditions', text.says.conditions())}
        {change ? (
          <Entries of={{ title: '', entries: ticks }} typed={typed} change={change} />
        ) : (
          ticks.filter(({ of }) => typed[of]).map((e) => <p key={e.of}>{`${e.label as string}.`}</p>)
        )}
      </section>
      <section className={styles.print}>
        {change ? (
          <Entries of={panels.print} typed={typed} change={change} />
        ) : (
          [card.content.contents, card.content.preparation, card.content.spent].map(
            (p, i) => p && <p key={i}>{p}</p>,
          )
        )}
        {children}
      </section>
    </article>
  )
}
