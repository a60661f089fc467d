import type { Schemas } from '../api/client'
import { date, tenths } from '../kit'
import styles from './Evaporation.module.css'
import { text } from './text'

const WIDTH = 250
/** g a day at the right edge. */
const END = 40

/** How fast formic acid goes, beside the band that is aimed at. */
export function Evaporation({ of: e }: { of: Schemas['Evaporation'] }) {
  const x = (g: number) => (WIDTH * Math.max(0, Math.min(END, g))) / END
  const said = text.weight(tenths(e.day_g), tenths(e.low_g), tenths(e.high_g))
  return (
    <div className={styles.evaporation} data-pace={e.pace}>
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
        <circle cx={x(e.day_g)} cy="11" r="5" className={styles.dot} />
      </svg>
      <p>{said}</p>
      <p className={styles[e.pace]}>{e.rose ? text.rose : e.words}</p>
      {e.empty_on && <p className="quiet">{text.emptyOn(date(e.empty_on))}</p>}
      {e.factor && <p className="quiet">{text.learnt(tenths(e.factor), tenths(e.factor_off ?? 0))}</p>}
    </div>
  )
}
