import type { Schemas } from '../api/client'
import { weekday } from '../kit'
import shared from './decide.module.css'
import styles from './Windows.module.css'
import { text } from './text'

interface Props {
  title: string
  outlook: Schemas['Outlook']
  day: string
  today: string
  pick: (day: string) => void
}

const FIRST = 6
const LAST = 22
const WIDTH = 80

/** The next ten days: when hives can be opened in each, how good, and for how many; a tap chooses the day. */
export function Windows({ title, outlook, day, today, pick }: Props) {
  const x = (hour: number) => ((hour - FIRST) / (LAST - FIRST)) * WIDTH
  return (
    <div className={shared.strip}>
      <h3>{title}</h3>
      <div className={styles.days} data-stops>
        {outlook.days.map((d) => (
          <button
            key={d.day}
            type="button"
            tabIndex={-1}
            className={styles.day}
            aria-pressed={d.day === day}
            data-day={d.day}
            onClick={() => pick(d.day)}
          >
            <b>{d.day === today ? text.today : weekday(d.day)}</b>
            <small>{d.known ? text.degrees(d.low_c, d.high_c) : ''}</small>
            {d.windows ? (
              <>
                <svg viewBox={`0 0 ${WIDTH} 16`} preserveAspectRatio="none" aria-hidden="true">
                  <rect className={styles.track} x="0" y="7" width={WIDTH} height="2" />
                  {d.windows.map((w) => (
                    <rect
                      key={w.from}
                      className={w.good ? styles.good : styles.fair}
                      x={x(w.from)}
                      width={x(w.to) - x(w.from)}
                      y="3"
                      height="10"
                      rx="2"
                    />
                  ))}
                </svg>
                <span>{d.windows.map((w) => text.hours(w.from, w.to)).join(', ')}</span>
                <small>
                  {d.windows.some((w) => w.good) ? `${text.best} · ` : ''}
                  {text.takes(d.takes)}
                </small>
              </>
            ) : (
              <span className={styles.none}>{text.why[d.cause ?? '']}</span>
            )}
          </button>
        ))}
      </div>
    </div>
  )
}
