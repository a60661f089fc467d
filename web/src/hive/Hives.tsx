import { Fragment, type ReactNode } from 'react'
import { FaultLine } from '../kit'
import styles from './Hives.module.css'
import { text } from './text'
import { AddHives } from './AddHives'
import type { Change, Colonies, DraftColony } from './hive'
import type { CardProps } from './HiveCard'

interface Props {
  draft: Colonies & { place: string }
  change: Change
  /** What each gets, in a line. */
  rule: string
  hint: ReactNode
  /** What can harm at one of them, by its name. */
  heed: (name: string) => string
  card: (of: CardProps) => ReactNode
}

/** The hives from above: the drawings that the amounts are read from. */
export function Hives({ draft, change, rule, hint, heed, card }: Props) {
  const title = text.boards(draft.place || text.placeEmpty, draft.colonies.length)
  return (
    <section className={styles.hives} aria-label={title}>
      <div className={styles.boardsHead}>
        <h1>{title}</h1>
        <span className="quiet">{rule}</span>
      </div>
      <div className={styles.hint}>{hint}</div>
      <FaultLine path="colonies" />
      <div className={styles.boards}>
        {draft.colonies.map((colony, at) => (
          <Fragment key={colony.key}>{card({ colony, at, change, heed: heed(colony.name) })}</Fragment>
        ))}
      </div>
      <AddHives draft={draft} change={change} />
    </section>
  )
}

/** The row of an answer for the colony in a place; none while it is to an older list. */
export function rowOf<Row extends { name: string }>(
  rows: readonly Row[] | undefined,
  i: number,
  colony: DraftColony,
): Row | undefined {
  const row = rows?.[i]
  return row?.name === colony.name ? row : undefined
}
