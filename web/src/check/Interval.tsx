import type { Schemas } from '../api/client'
import styles from './Interval.module.css'
import { text } from './text'

const WIDTH = 250

/** A share with its interval beside the line from which it worked. */
export function Interval({ result, wide = false }: { result: Schemas['Result']; wide?: boolean }) {
  const x = (share: number) => WIDTH * Math.max(0, Math.min(1, share))
  const { low, high, share, outcome, enough } = result
  return (
    <svg
      className={wide ? styles.wide : styles.interval}
      viewBox={`-4 0 ${WIDTH + 8} 26`}
      preserveAspectRatio="xMinYMid"
      role="img"
      aria-label={text.interval(String(Math.round(100 * low)), String(Math.round(100 * high)))}
      data-outcome={outcome}
    >
      <path className={styles.ground} d={`M0 13H${WIDTH}`} />
      <rect
        x={x(low)}
        width={Math.max(3, x(high) - x(low))}
        y="9"
        height="8"
        rx="4"
        className={styles[outcome]}
      />
      <path className={styles.line} d={`M${x(enough)} 3V23`} />
      <circle cx={x(share)} cy="13" r="4.5" className={styles.dot} />
    </svg>
  )
}
