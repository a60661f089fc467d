import { memo } from 'react'
import { FACTS } from '../method/facts'
import type { Schemas } from '../api/client'
import { text } from './text'
import shared from './treat.module.css'
import styles from './Line.module.css'
import type { Application } from '../outbox/outbox'
import { Press } from '../kit'

interface Props {
  line: Schemas['VisitColony'][]
  at: number
  method: Schemas['Visit']['method']
  records: Application[]
  onGo: (at: number) => void
  onTurn: () => void
}

/** The hives as they stand: done, open, skipped, by shape and word. */
export const Line = memo(function Line({ line, at, method, records, onGo, onTurn }: Props) {
  return (
    <nav className={shared.line} aria-label={text.title}>
      <ol>
        {line.map((c, i) => {
          const mine = records.filter((r) => r.colony_id === c.id)
          const state = mine.some((r) => r.kind !== 'skipped') ? 'done' : mine.length > 0 ? 'skipped' : 'open'
          return (
            <li key={c.id}>
              <button
                type="button"
                aria-current={i === at}
                className={styles[state]}
                onClick={() => onGo(i)}
                data-hive={c.hive.name}
                data-state={state}
              >
                <span className={styles.stack} aria-hidden="true">
                  {c.hive.boxes.map((_, b) => (
                    <i key={b} />
                  ))}
                </span>
                {c.hive.name}
                {state === 'done' ? ' ✓' : state === 'skipped' ? ' –' : ''}
                {mine.some((r) => r.flags?.includes('twice')) && <b className={shared.harm}> {text.twice}</b>}
              </button>
            </li>
          )
        })}
      </ol>
      <p>
        {FACTS[method].fumes && <span className="quiet">{text.wind} </span>}
        <Press small says={text.reverse} onPress={onTurn} />
      </p>
    </nav>
  )
})
