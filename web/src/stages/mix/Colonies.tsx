import type { Schemas } from '../../api/client'
import { FaultLine } from '../../parts/Field'
import { plain } from '../../units/format'
import { AddHives } from './AddHives'
import { ColonyCard } from './ColonyCard'
import type { Draft } from './draft'
import styles from './mix.module.css'
import { text } from './text'
import type { Change } from './useDraft'
import type { Plan } from './usePlan'

interface Props {
  draft: Draft
  plan: Plan | undefined
  change: Change
}

/** The hives from above: the drawings that the doses are read from. */
export function Colonies({ draft, plan, change }: Props) {
  if (draft.size.by === 'count') return <p className={`${styles.hint} ${styles.hives}`}>{text.countOnly}</p>
  const place = draft.place || text.placeEmpty
  return (
    <section className={styles.hives} aria-label={text.boards(place, draft.colonies.length)}>
      <div className={styles.boardsHead}>
        <h1>{text.boards(place, draft.colonies.length)}</h1>
        <span className="quiet">
          {draft.hold.kind === 'ready_to_use'
            ? text.ruleByLabel
            : text.ruleOfDose(draft.dosing.perSeam, draft.dosing.cap)}
        </span>
      </div>
      <p className={styles.hint}>{text.boardsHint}</p>
      <FaultLine path="colonies" />
      <div className={styles.boards}>
        {draft.colonies.map((colony, i) => (
          <ColonyCard
            key={colony.key}
            colony={colony}
            path={`colonies[${i}]`}
            dose={doseOf(plan, i, colony.name)}
            device={draft.applicator.device}
            change={change}
            at={i}
          />
        ))}
      </div>
      <AddHives draft={draft} change={change} />
    </section>
  )
}

/** The dose of the colony in a place; none while the answer is to an older list. */
function doseOf(plan: Plan | undefined, i: number, name: string): Schemas['ColonyDose'] | undefined {
  const dose = plan?.doses[i]
  return dose?.name === name ? dose : undefined
}

/** What the hand does for a dose: fillings, squeezes, shots or seconds. */
export function drawing(
  draws: Schemas['Draw'][],
  device: Draft['applicator']['device'],
  words: Record<Draft['applicator']['device'], (s: string) => string>,
) {
  if (draws.length === 0) return ''
  const figures = draws.map((d) => plain(device === 'syringe' ? d.ml : (d.count ?? 0))).join(' + ')
  return words[device](figures)
}
