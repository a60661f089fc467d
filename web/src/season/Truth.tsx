import type { Schemas } from '../api/client'
import { Pan } from '../drawing/Pan'
import { date, daysBetween, month, plain, price } from '../kit'
import page from '../kit/page.module.css'
import styles from './Truth.module.css'
import { text } from './text'

type Hive = Schemas['VerdictHive']

const WIDTH = 1140
const LEFT = 60
const TOP = 26
const FLOOR = 190
/** What lies above so many times the threshold is not told apart. */
const TIMES = 4

/** What was true of every hive, laid over what was known and done. */
export const Truth = ({ verdict }: { verdict: Schemas['Verdict'] }) => (
  <>
    <p role="status" data-verdict>
      <b>{verdict.words}</b> {verdict.spent && text.spent(price(verdict.spent))}
    </p>
    {verdict.hives.map((h) => (
      <section key={h.id} className={page.panel} data-verdict-of={h.name}>
        <h2 className={h.lives ? undefined : styles.lost}>
          {h.name}: {h.words}
        </h2>
        <Pan to={1} label={text.truthOf(h.name)}>
          <Lines hive={h} />
        </Pan>
        <p>
          <b>{text.cost}:</b> {h.cost}
        </p>
        <p>
          <b>{text.better}:</b> {h.better}
        </p>
      </section>
    ))}
  </>
)

function Lines({ hive: { name, points, known, counts } }: { hive: Hive }) {
  if (points.length < 2) return null
  const first = points[0]!.day
  const days = Math.max(1, daysBetween(first, points.at(-1)!.day))
  const x = (day: string) => LEFT + (daysBetween(first, day) / days) * (WIDTH - LEFT)
  const most = TIMES * Math.max(...points.map((p) => p.threshold))
  const y = (v: number) => FLOOR - (Math.min(v, most) / most) * (FLOOR - TOP)
  const line = <P,>(of: readonly P[], day: (p: P) => string, v: (p: P) => number) =>
    of.map((p) => `${x(day(p))} ${y(v(p))}`).join('L')
  const band = known.filter((p) => p.day >= first)
  return (
    <svg
      className={styles.lines}
      viewBox={`0 0 ${WIDTH} ${FLOOR + 12}`}
      role="img"
      aria-label={text.truthOf(name)}
    >
      {points
        .filter((p, i) => i > 0 && p.day.slice(0, 7) !== points[i - 1]!.day.slice(0, 7))
        .map((p) => (
          <g key={p.day}>
            <path className={styles.grid} d={`M${x(p.day)} ${TOP - 6}V${FLOOR}`} />
            <text x={x(p.day) + 4} y={TOP - 10}>
              {month(p.day)}
            </text>
          </g>
        ))}
      {[0, most / 2, most].map((v) => (
        <text key={v} className={styles.end} x={LEFT - 8} y={y(v) + 4}>
          {plain(v)}
          {v === most && '+'}
        </text>
      ))}
      {band.length > 1 && (
        <path
          className={styles.open}
          d={`M${line(
            band,
            (p) => p.day,
            (p) => p.high,
          )}L${line(
            band.toReversed(),
            (p) => p.day,
            (p) => p.low,
          )}Z`}
        >
          <title>{text.openBand}</title>
        </path>
      )}
      <path
        className={styles.threshold}
        d={`M${line(
          points,
          (p) => p.day,
          (p) => p.threshold,
        )}`}
      />
      <path
        className={styles.truth}
        d={`M${line(
          points,
          (p) => p.day,
          (p) => p.rate,
        )}`}
      >
        <title>{text.trueLine}</title>
      </path>
      {counts
        .filter((c) => c.kind === 'wash' && c.standing && c.on && c.on >= first)
        .map((c) => (
          <circle key={c.id} className={styles.count} cx={x(c.on!)} cy={y(c.standing!.rate)} r={5}>
            <title>{date(c.on!)}</title>
          </circle>
        ))}
      <path className={styles.grid} d={`M${LEFT} ${FLOOR}H${WIDTH}`} />
    </svg>
  )
}
