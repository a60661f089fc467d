import type { Schemas } from '../api/client'
import { date, daysBetween, month, useStart } from '../kit'
import styles from './TreatmentLane.module.css'
import { text } from './text'

const DAYS = 365
const WIDTH = 1000
/** That the days in take up, written. */
const ROOM = 60
const COLOURS = { dribble: 'drop', strip: 'strip', pad: 'pad', vapour: 'soft', other: 'soft' } as const

/** A year of what these bees were given, with the days that it was in: drawn as bars, what is late in madder. */
export function TreatmentLane({ treatments }: { treatments: Schemas['Treatment'][] }) {
  const today = useStart().now.slice(0, 10)
  const x = (day: string) => WIDTH * (1 - daysBetween(day, today) / DAYS)
  const shown = treatments.filter((t) => daysBetween(t.out_on ?? today, today) < DAYS)
  if (shown.length === 0) return null
  const months = Array.from({ length: 12 }, (_, i) => {
    const d = new Date(`${today.slice(0, 7)}-01T12:00`)
    d.setMonth(d.getMonth() - i)
    return d.toISOString().slice(0, 10)
  }).filter((m) => daysBetween(m, today) < DAYS)
  return (
    <svg className={styles.lane} viewBox={`0 0 ${WIDTH + 40} 74`} role="img" aria-label={text.lane} data-lane>
      {months.map((m) => (
        <g key={m}>
          <path className={styles.grid} d={`M${x(m)} 4V54`} />
          <text x={x(m) + 3} y={70}>
            {month(m)}
          </text>
        </g>
      ))}
      <path className={styles.ground} d={`M0 54H${WIDTH}`} />
      {shown.map((t) => {
        const from = Math.max(0, x(t.given_on))
        const to = Math.max(from + 6, x(t.out_on ?? today))
        const due = t.due_by ? Math.min(WIDTH, x(t.due_by)) : undefined
        const days = daysBetween(t.given_on, t.out_on ?? today)
        return (
          <g key={t.id}>
            <title>
              {`${text.methods[t.method]} ${date(t.given_on)}${days > 0 ? `, ${text.laneDays(days)}` : ''}`}
            </title>
            <rect x={from} width={to - from} y={22} height={26} rx={3} fill={`var(--${COLOURS[t.method]})`} />
            {t.overdue_days && due !== undefined && (
              <rect x={due} width={Math.max(4, to - due)} y={22} height={26} className={styles.late} />
            )}
            {days > 0 && (to - from > ROOM || t.overdue_days) && (
              <text x={from} y={18} className={t.overdue_days ? styles.lateWords : undefined}>
                {text.laneDays(days)}
              </text>
            )}
          </g>
        )
      })}
      <path className={styles.today} d={`M${WIDTH} 4V54`} />
    </svg>
  )
}
