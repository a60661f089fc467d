import type { Schemas } from '../api/client'
import styles from './Reached.module.css'
import { percent } from './share'
import { text } from './text'

type Reach = Omit<Schemas['ReachAnswer'], 'visits'>
type Cohort = Schemas['Cohort']

const DAY = 24
const ROW = 30
const LEFT = 112
const TOP = 26

interface Props {
  reach: Reach
  visits: readonly Schemas['Meets'][]
  /** A title above it, such as whose brood it is. */
  of?: string
}

/** Where the mites were at the start, when those under caps come out, and which of them are met. */
export function Reached({ reach, visits, of }: Props) {
  const last = Math.max(14, ...visits.map((v) => Math.min(v.to, 28)))
  const width = LEFT + DAY * (last + 1) + 8
  const x = (day: number) => LEFT + DAY * day
  const rows = [
    { name: text.onBees, cells: [reach.on_bees] },
    ...(reach.worker ? [{ name: text.worker, cells: reach.worker }] : []),
    ...(reach.drone ? [{ name: text.drone, cells: reach.drone }] : []),
  ]
  const height = TOP + ROW * rows.length + 4
  const [once, low, high] = [reach.once, reach.low, reach.high].map(percent) as [string, string, string]
  return (
    <figure className={styles.reach} data-reach={once}>
      <figcaption>
        {of && <b>{of}</b>}
        <strong>{text.reached(once, low, high)}</strong>
        {reach.twice > 0.005 && <span>{text.twice(percent(reach.twice))}</span>}
        {reach.once < 0.995 && <span>{text.rest(percent(1 - reach.once))}</span>}
      </figcaption>
      <svg viewBox={`0 0 ${width} ${height}`} role="img" aria-label={text.reached(once, low, high)}>
        {visits.map((v, i) => (
          <rect
            key={i}
            className={styles.visit}
            x={x(v.from)}
            width={DAY * (Math.min(v.to, last) - v.from + 1)}
            y={TOP - 4}
            height={height - TOP + 4}
          />
        ))}
        {Array.from({ length: Math.floor(last / 4) + 1 }, (_, i) => (
          <text
            key={i}
            x={Math.min(x(4 * i) + 2, width)}
            y={14}
            textAnchor={4 * i === last ? 'end' : 'start'}
          >
            {text.day(4 * i)}
          </text>
        ))}
        {rows.map((row, r) => (
          <g key={row.name}>
            <text x={0} y={TOP + ROW * r + 17} className={styles.name}>
              {row.name}
            </text>
            {row.cells.map((c) => (
              <Cell key={c.out} cell={c} x={x(c.out)} y={TOP + ROW * r} />
            ))}
          </g>
        ))}
      </svg>
    </figure>
  )
}

/** The mites that come out on one day: filled as far as they are met. */
function Cell({ cell, x, y }: { cell: Cohort; x: number; y: number }) {
  const high = 22
  return (
    <g>
      <title>{text.metShare(percent(cell.met))}</title>
      <rect className={styles.cell} x={x + 1.5} width={DAY - 3} y={y} height={high} rx="2" />
      <rect
        className={styles.met}
        x={x + 1.5}
        width={DAY - 3}
        y={y + high * (1 - cell.met)}
        height={high * cell.met}
        rx="2"
      />
    </g>
  )
}
