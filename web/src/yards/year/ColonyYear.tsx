import type { Schemas } from '../../api/client'
import { Pan } from '../../drawing/Pan'
import { date, daysBetween, seams as fraction, three } from '../../kit'
import styles from './ColonyYear.module.css'
import { text } from '../text'
import { Fans, FANS_HIGH, type Fan } from './Fans'
import { MonthLines } from './MonthLines'
import { PlanLane, PLAN_HIGH } from './PlanLane'
import type { Planner } from './planner'
import type { Scale } from './scale'

type Whole = Schemas['ColonyWhole']
type Point = Schemas['MitePoint']

/** Where the rows begin: what was given, the bees, the brood; the counts come below. */
const TREATED = 34
const BEES = 84
const BROOD = 152
const COUNTS = 196
/** How high a row of counts is, with its scale. */
const CHART = 110
/** The bees of so many seams fill their row, or the most there were. */
const MANY_SEAMS = 10
/** That the name of a method takes up. */
const ROOM = 90
const BEES_HIGH = 44
/** What was seen of the brood tells of so many days. */
const BROOD_DAYS = 21
const COLOURS = { dribble: 'drop', strip: 'strip', pad: 'pad', vapour: 'soft', other: 'soft' } as const

interface Props {
  colony: Whole
  scale: Scale
  today: string
  /** What the model makes of it; left out where nothing is ahead. */
  ahead?: Schemas['MiteYear'] | undefined
  fans: readonly Fan[]
  planner?: Planner | undefined
}

/** A year of a colony on one axis of time: what it was given, its bees, its brood, its mites, and what is ahead. */
export function ColonyYear({ colony, scale, today, ahead, fans, planner }: Props) {
  const counted = colony.counts.filter(
    (c) => c.standing && c.void_reason === undefined && scale.has(c.on ?? ''),
  )
  const kinds = (['wash', 'board'] as const).filter((k) => counted.some((c) => c.kind === k))
  const below = (planner?.plans.length ?? 0) * PLAN_HIGH
  const bottom = below + COUNTS + (ahead ? FANS_HIGH : kinds.length * CHART)
  const coming = (fans[0]?.points ?? []).filter((p) => scale.has(p.day))
  return (
    <Pan to={planner ? 0.5 : 0.6} label={text.year(colony.name)}>
      <svg
        className={styles.year}
        viewBox={`0 0 ${scale.width} ${bottom + 24}`}
        role="group"
        aria-label={text.year(colony.name)}
        data-year
      >
        <MonthLines scale={scale} bottom={bottom} />
        <Row y={TREATED + 16} name={text.treatments} />
        <Treated treatments={colony.treatments} scale={scale} today={today} />
        {planner && <PlanLane planner={planner} scale={scale} top={BEES} />}
        <g transform={`translate(0 ${below})`}>
          <Row y={BEES + 28} name={text.beesRow} />
          <Bees inspections={colony.inspections} coming={coming} scale={scale} />
          <Row y={BROOD + 18} name={text.broodAsk} />
          <Brood inspections={colony.inspections} scale={scale} today={today} />
          <BroodAhead coming={coming} scale={scale} />
          {ahead ? (
            <Fans ahead={ahead} counts={counted} fans={fans} scale={scale} top={COUNTS} />
          ) : (
            kinds.map((kind, i) => (
              <Mites
                key={kind}
                kind={kind}
                counts={counted.filter((c) => c.kind === kind)}
                scale={scale}
                top={COUNTS + i * CHART}
              />
            ))
          )}
        </g>
        <path className={styles.today} d={`M${scale.x(today)} 22V${bottom}`} />
        <text className={styles.middle} x={scale.x(today)} y={bottom + 18}>
          {text.isToday}
        </text>
      </svg>
    </Pan>
  )
}

const Row = ({ y, name }: { y: number; name: string }) => (
  <text className={styles.row} x={0} y={y}>
    {name}
  </text>
)

/** What was given, with the days that it was in; what is late in madder. */
function Treated({
  treatments,
  scale,
  today,
}: {
  treatments: Whole['treatments']
  scale: Scale
  today: string
}) {
  const shown = treatments.filter((t) => (t.out_on ?? today) >= scale.first).toReversed()
  return shown.map((t, i) => {
    const from = scale.x(t.given_on)
    const to = Math.max(from + 7, scale.x(t.out_on ?? today))
    const days = daysBetween(t.given_on, t.out_on ?? today)
    const due = t.overdue_days && t.due_by ? scale.x(t.due_by) : undefined
    const before = shown[i - 1]
    // The visits of a course are named once.
    const named = !before || before.method !== t.method || from - scale.x(before.given_on) > ROOM
    const words = days > 20 ? `${text.methods[t.method]}, ${text.laneDays(days)}` : text.methods[t.method]
    return (
      <g key={t.id}>
        <title>{`${text.methods[t.method]} ${date(t.given_on)}${days > 0 ? `, ${text.laneDays(days)}` : ''}`}</title>
        <rect
          x={from}
          width={to - from}
          y={TREATED}
          height={20}
          rx={3}
          fill={`var(--${COLOURS[t.method]})`}
        />
        {due !== undefined && (
          <rect className={styles.late} x={due} width={Math.max(4, to - due)} y={TREATED} height={20} />
        )}
        {named && (
          <text
            x={Math.min(from, scale.width - ROOM)}
            y={TREATED + 34}
            className={t.overdue_days ? styles.lateWords : undefined}
          >
            {words}
          </text>
        )}
      </g>
    )
  })
}

/** The seams as they were counted, as broad as there were bees; between two inspections on a straight line. */
function Bees({
  inspections,
  coming,
  scale,
}: {
  inspections: Whole['inspections']
  coming: readonly Point[]
  scale: Scale
}) {
  const seen = inspections
    .flatMap((i) => (i.on && scale.has(i.on) && i.seams !== undefined ? [{ on: i.on, seams: i.seams }] : []))
    .sort((a, b) => a.on.localeCompare(b.on))
  const middle = BEES + 24
  const most = Math.max(MANY_SEAMS, ...seen.map((s) => s.seams), ...coming.map((p) => p.seams))
  const half = (seams: number) => (seams / most) * (BEES_HIGH / 2)
  const edge = (side: 1 | -1) => seen.map((s) => `${scale.x(s.on)} ${middle + side * half(s.seams)}`)
  const ahead = (side: 1 | -1) => coming.map((p) => `${scale.x(p.day)} ${middle + side * half(p.seams)}`)
  return (
    <>
      {coming.length > 1 && (
        <path className={styles.beesAhead} d={`M${ahead(-1).join('L')}L${ahead(1).reverse().join('L')}Z`} />
      )}
      {seen.length > 1 && (
        <path className={styles.bees} d={`M${edge(-1).join('L')}L${edge(1).reverse().join('L')}Z`} />
      )}
      {seen.map((s, i) => (
        <g key={i}>
          <circle className={styles.dot} cx={scale.x(s.on)} cy={middle} r={3.5} />
          {/* Where two stand close, the later one is told. */}
          {(i + 1 === seen.length || scale.x(seen[i + 1]!.on) - scale.x(s.on) > 50) && (
            <text className={styles.middle} x={scale.x(s.on)} y={BEES + 60}>
              {fraction(s.seams)}
            </text>
          )}
        </g>
      ))}
    </>
  )
}

/** What was seen of sealed brood, for as long as it tells. */
function Brood({
  inspections,
  scale,
  today,
}: {
  inspections: Whole['inspections']
  scale: Scale
  today: string
}) {
  const seen = inspections
    .flatMap((i) => (i.on && scale.has(i.on) && i.brood ? [{ on: i.on, brood: i.brood }] : []))
    .sort((a, b) => a.on.localeCompare(b.on))
  return seen.map(({ on, brood }, i) => {
    const from = scale.x(on)
    const until = Math.min(scale.x(seen[i + 1]?.on ?? today), from + BROOD_DAYS * scale.day)
    return (
      <g key={on + brood}>
        <rect
          className={styles[brood] ?? ''}
          x={from}
          width={Math.max(5, until - from)}
          y={BROOD}
          height={24}
        >
          <title>{`${date(on)}: ${text.brood[brood] ?? ''}`}</title>
        </rect>
        <text x={from} y={BROOD + 38}>
          {text.brood[brood]}
        </text>
      </g>
    )
  })
}

/** Sealed brood as it is likely to be. */
const BroodAhead = ({ coming, scale }: { coming: readonly Point[]; scale: Scale }) =>
  coming
    .slice(1)
    .map((p, i) => (
      <rect
        key={p.day}
        className={styles[`${p.brood}Ahead`] ?? ''}
        x={scale.x(coming[i]!.day)}
        width={scale.x(p.day) - scale.x(coming[i]!.day)}
        shapeRendering="crispEdges"
        y={BROOD}
        height={24}
      />
    ))

interface MitesProps {
  kind: 'wash' | 'board'
  counts: Schemas['MiteCount'][]
  scale: Scale
  top: number
}

/** Each count with its 95 % interval, and the threshold that it was held against. */
function Mites({ kind, counts, scale, top }: MitesProps) {
  const highest = Math.max(
    ...counts.map((c) => Math.max(c.standing!.high, (c.standing!.threshold ?? 0) * 1.3)),
  )
  const floor = top + CHART - 8
  // By the root: a board after a treatment would press all others to the ground.
  const y = (v: number) => floor - Math.sqrt(v / highest) * (CHART - 26)
  return (
    <>
      <Row y={top + 34} name={text.kinds[kind]} />
      <text x={0} y={top + 52}>
        {text.units[kind]}
      </text>
      <path className={styles.ground} d={`M${scale.left} ${floor}H${scale.width}`} />
      {[0, highest].map((v) => (
        <text key={v} className={styles.end} x={scale.left - 6} y={y(v) + 4}>
          {v && three(v)}
        </text>
      ))}
      {counts.map((c) => {
        const { rate, low, high, threshold, stands } = c.standing!
        const x = scale.x(c.on ?? '')
        return (
          <g key={c.id} className={stands === 'over' ? styles.over : styles.under} data-year-count={c.on}>
            <title>
              {`${date(c.on ?? '')}: ${three(rate)} ${text.units[kind]}. ${text.interval(three(low), three(high), text.units[kind])}`}
            </title>
            {threshold !== undefined && (
              <path className={styles.threshold} d={`M${x - 14} ${y(threshold)}h28`} />
            )}
            <path className={styles.span} d={`M${x} ${y(low)}V${y(high)}`} />
            {kind === 'wash' ? (
              <circle cx={x} cy={y(rate)} r={5} />
            ) : (
              <rect x={x - 4.5} y={y(rate) - 4.5} width={9} height={9} />
            )}
            <text x={x + 8} y={y(rate) + 4}>
              {three(rate)}
            </text>
          </g>
        )
      })}
    </>
  )
}
