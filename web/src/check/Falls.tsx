import type { Schemas } from '../api/client'
import { daysBetween, tenths } from '../kit'
import styles from './Falls.module.css'
import { text } from './text'

const HEIGHT = 150
const FOOT = 22
const LEFT = 34
const BAR = 20

/** The fall of mites a day, from before the first dose to after, with the days of the doses. */
export function Falls({
  falls,
  given,
  colour,
}: {
  falls: Schemas['DayFall'][]
  given: string[]
  colour: string
}) {
  const first = given[0] ?? ''
  const top = nice(Math.max(1, ...falls.map((f) => f.mites)))
  const y = (mites: number) => 10 + (HEIGHT - 10) * (1 - mites / top)
  const x = (i: number) => LEFT + BAR * i
  const width = LEFT + BAR * falls.length + 8
  const at = (day: string) => x(daysBetween(falls[0]?.day ?? day, day))
  return (
    <figure className={styles.falls} data-falls>
      <figcaption>{text.falls}</figcaption>
      <svg
        viewBox={`0 0 ${width} ${HEIGHT + FOOT}`}
        role="img"
        aria-label={falls.map((f) => `${text.day(daysBetween(first, f.day))}: ${tenths(f.mites)}`).join(', ')}
      >
        {[top, top / 2, 0].map((v) => (
          <g key={v}>
            <path className={styles.grid} d={`M${LEFT} ${y(v)}H${width}`} />
            <text x={LEFT - 6} y={y(v) + 4} textAnchor="end">
              {tenths(v)}
            </text>
          </g>
        ))}
        {falls.map((f, i) =>
          f.hives === 0 ? null : (
            <rect
              key={f.day}
              x={x(i) + 2}
              width={BAR - 4}
              y={y(f.mites)}
              height={Math.max(1.5, HEIGHT - y(f.mites))}
              rx="2"
              className={f.day < first ? styles.before : styles.after}
            />
          ),
        )}
        {given.map((day) => (
          <g key={day} style={{ color: `var(--${colour})` }} className={styles.dose}>
            <path d={`M${at(day)} 4V${HEIGHT}`} />
            <circle cx={at(day)} cy="6" r="5" />
          </g>
        ))}
        <text x={LEFT} y={HEIGHT + 16}>
          {first > (falls[0]?.day ?? '') ? text.before : ''}
        </text>
        {falls.map((f, i) => {
          const day = daysBetween(first, f.day)
          return day >= 0 && day % 7 === 0 ? (
            <text key={f.day} x={x(i)} y={HEIGHT + 16}>
              {text.day(day)}
            </text>
          ) : null
        })}
      </svg>
    </figure>
  )
}

/** The next round figure up: 1, 2, 5, 10 … */
function nice(v: number) {
  const size = 10 ** Math.floor(Math.log10(v))
  return size * ([1, 2, 5, 10].find((step) => v <= step * size) ?? 10)
}
