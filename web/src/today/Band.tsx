import { useState } from 'react'
import type { Schemas } from '../api/client'
import { text as doing } from '../followup/text'
import { daysBetween, Press, short } from '../kit'
import styles from './Band.module.css'
import { shapeOf } from './shapes'
import { text } from './text'

const WIDTH = 880
const NAMES = 130
const HEAD = 26
const ROOM = 20
const WINDOWS = 8
/** Yards with the most to do that are shown at once: what to do comes first on the page. */
const MOST = 4

type Yard = Schemas['BandYard']

/** The weeks around today: what is in the hives of each yard, what to come back for, and when the weather fits. */
export function Band({ band, today }: { band: Schemas['Band']; today: string }) {
  const [whole, setWhole] = useState(false)
  const busy = [...band.yards].sort((a, b) => weight(b) - weight(a))
  const shown = whole ? busy : busy.slice(0, MOST)
  if (busy.length === 0) return null
  const step = (WIDTH - NAMES) / band.days
  const x = (day: string) => NAMES + Math.max(0, Math.min(band.days, daysBetween(band.from, day))) * step
  const { rows, top } = laid(shown)
  return (
    <figure className={styles.band} tabIndex={0} aria-label={text.band} data-band>
      <svg viewBox={`0 0 ${WIDTH} ${top + 14}`} role="img" aria-label={text.band}>
        {weeks(band).map((day) => (
          <g key={day}>
            <path d={`M${x(day)} 20V${top}`} className={styles.week} />
            <text x={x(day) + 4} y="14" className={styles.soft}>
              {short(day)}
            </text>
          </g>
        ))}
        {rows.map(({ yard, at, height }) => (
          <g key={yard.id} transform={`translate(0 ${at})`} data-band-yard={yard.name}>
            <text y={height / 2 + 2} className={styles.name}>
              {yard.name}
            </text>
            {yard.windows.map((day) => (
              <rect
                key={day}
                x={x(day) + 1}
                y={height - WINDOWS}
                width={step - 2}
                height="6"
                className={styles.window}
              />
            ))}
            <path d={`M${NAMES} ${height}H${WIDTH}`} className={styles.ground} />
            {yard.bars.map((bar, i) => (
              <Bar key={i} bar={bar} today={today} x={x} y={i * ROOM + 3} />
            ))}
            {stacked(yard).map(({ mark, level }, i) => (
              <g
                key={i}
                transform={`translate(${x(mark.day) + 1} ${level * ROOM + 1})`}
                className={styles[mark.state]}
                data-band-mark={mark.kind}
              >
                <title>{text.mark(mark.title, mark.hives, mark.day)}</title>
                {shapeOf(mark)}
              </g>
            ))}
          </g>
        ))}
        <path d={`M${x(today)} 18V${top}`} className={styles.now} />
        <text x={x(today) + 4} y={top + 12} className={styles.soft}>
          {text.today}
        </text>
      </svg>
      <figcaption className="quiet">
        {busy.some((y) => y.windows.length > 0) && text.windows}
        {!whole && busy.length > MOST && (
          <Press small says={text.all(busy.length)} onPress={() => setWhole(true)} />
        )}
      </figcaption>
    </figure>
  )
}

interface BarProps {
  bar: Schemas['BandBar']
  today: string
  x: (day: string) => number
  y: number
}

/** What is in hives, from when to when; what should be out is drawn on in dashes until today. */
function Bar({ bar, today, x, y }: BarProps) {
  const late = bar.in && bar.to < today
  return (
    <g>
      <title>{text.bar(bar.hives, bar.from, bar.to)}</title>
      <rect
        x={x(bar.from)}
        y={y}
        width={Math.max(2, x(bar.to) - x(bar.from))}
        height="13"
        fill={`var(--${bar.method === 'dribble' ? 'drop' : bar.method})`}
      />
      {late && (
        <>
          <rect x={x(bar.to)} y={y + 1} width={x(today) - x(bar.to)} height="11" className={styles.over} />
          <text x={x(today) + 8} y={y + 12} className={styles.since}>
            {doing.daysLate(daysBetween(bar.to, today))}
          </text>
        </>
      )}
    </g>
  )
}

/** Where each yard's row begins, and how high it is. */
function laid(yards: Yard[]) {
  let top = HEAD
  const rows = yards.map((yard) => {
    const row = { yard, at: top, height: ROOM * Math.max(1, tallest(yard)) + WINDOWS + 8 }
    top += row.height + 6
    return row
  })
  return { rows, top }
}

const weight = (y: Yard) => y.marks.length + 2 * y.bars.length + (y.windows.length > 0 ? 1 : 0)

/** Marks of one day stand above each other, beneath the bars. */
function stacked({ bars, marks }: Yard) {
  const taken = new Map<string, number>()
  return marks.map((mark) => {
    const level = taken.get(mark.day) ?? bars.length
    taken.set(mark.day, level + 1)
    return { mark, level }
  })
}

const tallest = (y: Yard) => Math.max(y.bars.length, ...stacked(y).map(({ level }) => level + 1))

function weeks({ from, days }: Schemas['Band']) {
  const first = Date.parse(from)
  return Array.from({ length: Math.ceil(days / 7) }, (_, i) =>
    new Date(first + i * 7 * 86_400_000).toISOString().slice(0, 10),
  )
}
