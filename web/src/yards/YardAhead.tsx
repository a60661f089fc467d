import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import { ask } from '../kit'
import page from '../kit/page.module.css'
import { text } from './text'
import styles from './YardAhead.module.css'

type Hive = Schemas['HiveAhead']

const WIDTH = 150
const HIGH = 40
/** What lies above so many times the threshold is not told apart. */
const TIMES = 3

/** The season ahead of every hive of a yard in small, and which of them to count. */
export function YardAhead({ id }: { id: string }) {
  const ahead = useQuery(ask(['yards', id, 'ahead'], '/api/yards/{id}/ahead', { path: { id } }))
  if (!ahead.data || ahead.data.hives.every((h) => h.counts === 0)) return null
  const { words, hives, more } = ahead.data
  return (
    <section className={page.panel} data-yard-ahead>
      <h2>{text.seasonAhead}</h2>
      {words && <p data-count-first>{words}</p>}
      <ul className={styles.hives}>
        {hives.map((h) => (
          <li key={h.id} data-hive-ahead={h.name}>
            <Link to={`/colonies/${h.id}`}>{h.name}</Link>
            <Small of={h} />
            <span>{h.words}</span>
          </li>
        ))}
      </ul>
      {more !== undefined && <p className="quiet">{text.moreAhead(more)}</p>}
      <p className="quiet">{text.seasonAheadHint}</p>
    </section>
  )
}

/** The fan of a hive if nothing is done, over half a year. */
function Small({ of: { points } }: { of: Hive }) {
  const most = TIMES * Math.max(...points.map((p) => p.threshold))
  const x = (i: number) => (i / Math.max(1, points.length - 1)) * WIDTH
  const y = (v: number) => HIGH - (Math.min(v, most) / most) * HIGH
  const line = (v: (p: Hive['points'][number]) => number) => points.map((p, i) => `${x(i)} ${y(v(p))}`)
  return (
    <svg className={styles.small} viewBox={`0 0 ${WIDTH} ${HIGH}`} aria-hidden>
      <path
        className={styles.band}
        d={`M${line((p) => p.high).join('L')}L${line((p) => p.low)
          .reverse()
          .join('L')}Z`}
      />
      <path className={styles.likely} d={`M${line((p) => p.middle).join('L')}`} />
      <path className={styles.threshold} d={`M${line((p) => p.threshold).join('L')}`} />
    </svg>
  )
}
