import type { Schemas } from '../api/client'
import { three } from '../kit'
import styles from './MiteGauge.module.css'
import { text } from './text'

type Standing = Schemas['Standing']

const WIDTH = 84
/** The threshold stands at this part of the width; three times the threshold ends it. */
const AT = WIDTH / 3

/** A count and its interval beside the threshold at which the keeper acts. */
export function MiteGauge({ standing }: { standing: Standing | undefined }) {
  if (!standing) return <span className={styles.none}>{text.uncounted}</span>
  const { rate, low, high, threshold, stands, kind } = standing
  const x = (v: number) =>
    Math.min(WIDTH - 1, threshold ? (v / threshold) * AT : (v / Math.max(high, 0.01)) * WIDTH * 0.8)
  return (
    <span className={styles.gauge} data-stands={stands}>
      <svg width={WIDTH} height="16" viewBox={`0 0 ${WIDTH} 16`} aria-hidden="true">
        <path className={styles.ground} d={`M0 8H${WIDTH}`} />
        <rect
          className={styles.span}
          x={x(low)}
          width={Math.max(2, x(high) - x(low))}
          y="5"
          height="6"
          rx="2"
        />
        {threshold && <path className={styles.line} d={`M${AT} 0V16`} />}
        <circle className={styles.dot} cx={Math.max(3, x(rate))} cy="8" r="3.4" />
      </svg>
      <b>{text.stands[stands]}</b>
      <small>
        {rate === 0 ? '0' : three(rate)} {text.rateUnit[kind]}
      </small>
    </span>
  )
}
