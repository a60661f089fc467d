import type { Schemas } from '../api/client'
import { date, tenths, three } from '../kit'
import styles from './Evaporation.module.css'
import { text } from './text'

const WIDTH = 250
/** g a day at the right edge. */
const END = 40

/** How fast formic acid goes, beside the band that is aimed at, and what is left hour by hour. */
export function Evaporation({ of: e }: { of: Schemas['Evaporation'] }) {
  const x = (g: number) => (WIDTH * Math.max(0, Math.min(END, g))) / END
  const day = e.pace ? e.day_g : undefined
  const band = [tenths(e.low_g), tenths(e.high_g)] as const
  const said = day === undefined ? text.notWeighed(...band) : text.weight(tenths(day), ...band)
  return (
    <div className={styles.evaporation} data-pace={e.pace ?? ''}>
      <svg viewBox={`-4 0 ${WIDTH + 8} 22`} role="img" aria-label={said} preserveAspectRatio="xMinYMid">
        <path d={`M0 11H${WIDTH}`} className={styles.ground} />
        <rect
          x={x(e.low_g)}
          width={x(e.high_g) - x(e.low_g)}
          y="4"
          height="14"
          rx="3"
          className={styles.band}
        />
        {e.expect_g !== undefined && <path d={`M${x(e.expect_g)} 2V20`} className={styles.expected} />}
        {day !== undefined && <circle cx={x(day)} cy="11" r="5" className={styles.dot} />}
      </svg>
      <p>{said}</p>
      {e.pace && <p className={styles[e.pace]}>{e.rose ? text.rose : e.words}</p>}
      {e.expect_g !== undefined && <p className="quiet">{text.expected(tenths(e.expect_g))}</p>}
      {e.weighed && <Left weighed={e.weighed} ahead={e.ahead ?? []} />}
      {e.empty_on && <p className="quiet">{text.emptyOn(date(e.empty_on))}</p>}
      {e.factor && <p className="quiet">{text.learnt(three(e.factor), three(e.factor_off ?? 0))}</p>}
    </div>
  )
}

const HEIGHT = 70
const FOOT = 16

/** What is left in a device: as it was weighed, and by the forecast until it is empty. */
function Left({ weighed, ahead }: { weighed: Schemas['LeftAt'][]; ahead: Schemas['LeftAt'][] }) {
  const last = ahead.at(-1) ?? weighed.at(-1)
  const hours = Math.max(24, last?.hour ?? 0)
  const most = Math.max(1, ...weighed.map((w) => w.g))
  const at = (w: Schemas['LeftAt']) =>
    `${(WIDTH * w.hour) / hours},${4 + (HEIGHT - 4) * (1 - Math.max(0, w.g) / most)}`
  const from = weighed.at(-1)
  const days = Math.ceil(hours / 24)
  return (
    <svg
      className={styles.left}
      viewBox={`-4 0 ${WIDTH + 8} ${HEIGHT + FOOT}`}
      role="img"
      aria-label={text.leftLine(tenths(from?.g ?? 0), Math.round(hours / 24))}
      data-left
    >
      <path d={`M0 ${HEIGHT}H${WIDTH}`} className={styles.ground} />
      {Array.from({ length: Math.floor(days / 7) + 1 }, (_, i) => (
        <text
          key={i}
          x={(WIDTH * 24 * 7 * i) / hours}
          y={HEIGHT + 13}
          textAnchor={i > 0 && days - 7 * i < 3 ? 'end' : 'start'}
        >
          {text.day(7 * i)}
        </text>
      ))}
      <polyline points={weighed.map(at).join(' ')} className={styles.was} />
      {from && <polyline points={[from, ...ahead].map(at).join(' ')} className={styles.ahead} />}
      {weighed.map((w) => {
        const [cx, cy] = at(w).split(',')
        return <circle key={w.hour} cx={cx} cy={cy} r="3.5" className={styles.dot} />
      })}
    </svg>
  )
}
