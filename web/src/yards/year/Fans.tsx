import type { Schemas } from '../../api/client'
import { date, plain, three } from '../../kit'
import { text } from '../text'
import styles from './Fans.module.css'
import type { Scale } from './scale'

type Point = Schemas['MitePoint']
type Count = Schemas['MiteCount']

/** How high the row of the mites is. */
export const FANS_HIGH = 250
/** What lies above so many times the threshold is not told apart. */
const TIMES = 3

/** What a plan comes to, or nothing at all. */
export interface Fan {
  name: string
  colour: string
  points: readonly Point[]
}

interface Props {
  ahead: Schemas['MiteYear']
  counts: readonly Count[]
  fans: readonly Fan[]
  scale: Scale
  top: number
}

/** How much room the name of the threshold takes. */
const NAMED = 80

/** The mites of a colony: the band that its counts leave open, each count, and the fans of what is ahead. */
export function Fans({ ahead, counts, fans, scale, top }: Props) {
  const floor = top + FANS_HIGH - 10
  const most = TIMES * Math.max(...ahead.points.map((p) => p.threshold))
  const y = (v: number) => floor - (Math.min(v, most) / most) * (FANS_HIGH - 40)
  const shown = (points: readonly Point[]) => points.filter((p) => scale.has(p.day))
  const line = (of: readonly Point[], v: (p: Point) => number) =>
    of.map((p) => `${scale.x(p.day)} ${y(v(p))}`).join('L')
  const band = (of: readonly Point[]) => `M${line(of, (p) => p.high)}L${line(of.toReversed(), (p) => p.low)}Z`
  const past = shown(ahead.points).filter((p) => p.day <= ahead.today)
  const thresholds = [...past, ...shown(fans[0]?.points ?? [])]
  // What the threshold is stands at the beginning, or at the end where a count lies there.
  const crowded = counts.some((c) => c.on && scale.has(c.on) && scale.x(c.on) < scale.left + NAMED)
  const named = thresholds.at(crowded ? -1 : 0)
  return (
    <>
      <text className={styles.row} x={0} y={top + 34}>
        {text.mites}
      </text>
      <text x={0} y={top + 52}>
        {text.units.wash}
      </text>
      {[0, 1, 2, 3].map((n) => (
        <g key={n}>
          <path className={styles.ground} d={`M${scale.left} ${y((n / 3) * most)}H${scale.width - 40}`} />
          <text className={styles.end} x={scale.left - 6} y={y((n / 3) * most) + 4}>
            {plain((n / 3) * most)}
            {n === 3 && '+'}
          </text>
        </g>
      ))}
      {past.length > 1 && (
        <>
          <path className={styles.was} d={band(past)} />
          <path className={styles.middle} d={`M${line(past, (p) => p.middle)}`} />
        </>
      )}
      {fans.map(({ name, colour, points }) => {
        const of = shown(points)
        if (of.length < 2) return null
        return (
          <g key={name} style={{ color: colour }} data-fan={name}>
            <path className={styles.fan} d={band(of)} />
            <path className={styles.likely} d={`M${line(of, (p) => p.middle)}`} />
          </g>
        )
      })}
      <Names fans={fans} at={(p) => [scale.x(p.day), y(p.middle)]} shown={shown} floor={floor} />
      {thresholds.length > 1 && <path className={styles.threshold} d={`M${steps(thresholds, scale.x, y)}`} />}
      {counts.map((c) => (
        <Counted
          key={c.id}
          of={c}
          board={ahead.boards.find((b) => c.kind === 'board' && b.day === c.on)}
          x={scale.x(c.on ?? '')}
          y={y}
        />
      ))}
      {named && (
        <text
          className={`${styles.limit} ${crowded ? styles.end : ''}`}
          x={crowded ? scale.width - 46 : scale.left + 6}
          y={y(named.threshold) - 6}
        >
          {text.treatAt(plain(named.threshold))}
        </text>
      )}
    </>
  )
}

interface NamesProps {
  fans: readonly Fan[]
  shown: (points: readonly Point[]) => readonly Point[]
  at: (p: Point) => [number, number]
  floor: number
}

/** The names of the fans at their ends, one above the other where they lie close. */
function Names({ fans, shown, at, floor }: NamesProps) {
  const ends = fans
    .flatMap(({ name, colour, points }) => {
      const last = shown(points).at(-1)
      return last ? [{ name, colour, x: at(last)[0], y: at(last)[1] }] : []
    })
    .sort((a, b) => b.y - a.y)
  let free = floor - 4
  return ends.map(({ name, colour, x, y }) => {
    const at = Math.min(y - 8, free)
    free = at - 17
    return (
      <text key={name} className={styles.name} x={x} y={at} style={{ fill: colour }}>
        {name}
      </text>
    )
  })
}

/** A wash with its interval, and a board in the same measure with its own. */
function Counted({
  of,
  board,
  x,
  y,
}: {
  of: Count
  board: Schemas['TurnedBoard'] | undefined
  x: number
  y: (v: number) => number
}) {
  const { rate, low, high, stands } = of.standing!
  const unit = text.units[of.kind]
  const [from, at, to] = board ? [board.low, board.middle, board.high] : [low, rate, high]
  if (of.kind === 'board' && !board) return null
  return (
    <g className={stands === 'over' ? styles.over : styles.count} data-year-count={of.on}>
      <title>{`${date(of.on ?? '')}: ${three(rate)} ${unit}. ${text.interval(three(low), three(high), unit)}`}</title>
      <path d={`M${x} ${y(from)}V${y(to)}`} />
      {board ? <rect x={x - 4.5} y={y(at) - 4.5} width={9} height={9} /> : <circle cx={x} cy={y(at)} r={5} />}
    </g>
  )
}

/** The threshold as it changes with the seasons. */
const steps = (points: readonly Point[], x: (day: string) => number, y: (v: number) => number) =>
  points
    .map((p, i) => `${x(p.day)} ${y(points[i - 1]?.threshold ?? p.threshold)}V${y(p.threshold)}`)
    .join('L')
