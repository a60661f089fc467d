import styles from './bench.module.css'

interface Props {
  value: number
  target: number
  band: number
}

const WIDTH = 600
/** Where the target stands on the track, so that there is room for too much. */
const AIM = 0.78

/**
 * The way to the target: the whole of it drawn small would hide the band, so that
 * what lies near the target takes most of the track.
 */
export function Dial({ value, target, band }: Props) {
  const x = (grams: number) => {
    const from = Math.max(-1, Math.min(1.35, grams / target))
    if (from <= 0) return 0
    // The last tenth takes two thirds of the way.
    const eased = from < 0.9 ? (from / 0.9) * 0.34 : 0.34 + ((from - 0.9) / 0.1) * 0.66
    return Math.min(WIDTH, eased * AIM * WIDTH)
  }
  const low = x(target - band)
  const high = Math.max(low + 14, x(target + band))
  const at = x(value)
  return (
    <svg
      className={styles.dial}
      viewBox={`-8 0 ${WIDTH + 16} 76`}
      aria-hidden="true"
      preserveAspectRatio="none"
    >
      <rect className={styles.track} x={0} y={30} width={WIDTH} height={16} rx={8} />
      <rect className={styles.bandMark} x={low} y={14} width={high - low} height={48} rx={4} />
      <rect className={styles.filled} x={0} y={30} width={Math.max(0, at)} height={16} rx={8} />
      <path className={styles.needle} d={`M${at} 8v60`} />
    </svg>
  )
}
