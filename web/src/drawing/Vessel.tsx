import styles from './Vessel.module.css'
import { text } from './text'

export type VesselKind = 'jar' | 'pot' | 'bottle' | 'packet'

interface Props {
  kind: VesselKind
  /** What it holds, and what of that is spoken for, mL or as it is counted. */
  volume: number
  taken?: number
  /** Its size where that is known; otherwise the next that shops have. */
  size?: number
  /** What stands on its neck in place of its size in mL. */
  neck?: string
  figure: string
  unit: string
}

const SIZES = [100, 250, 500, 1000, 2000, 5000, 10000, 25000, 50000, 100000]

/** Outline, the height at which it is full, and the width of what it holds. */
const SHAPES: Record<
  VesselKind,
  { outline: string; top: number; floor: number; x: number; width: number; label: number }
> = {
  jar: {
    outline: 'M28 4h48M32 4v10c-10 5-22 7-22 18v88c0 6 4 10 10 10h64c6 0 10-4 10-10V32c0-11-12-13-22-18V4',
    top: 34,
    floor: 126,
    x: 12,
    width: 80,
    label: 29,
  },
  pot: {
    outline: 'M4 30h96M10 30v90c0 6 4 10 10 10h64c6 0 10-4 10-10V30M10 46H2v14h8M94 46h8v14h-8',
    top: 30,
    floor: 126,
    x: 12,
    width: 80,
    label: 20,
  },
  bottle: {
    outline: 'M40 4h24v20c0 8 24 10 24 26v70c0 6-4 10-10 10H26c-6 0-10-4-10-10V50c0-16 24-18 24-26z',
    top: 52,
    floor: 126,
    x: 18,
    width: 68,
    label: 61,
  },
  packet: {
    outline: 'M26 34h52c9 0 14 5 14 14v52c0 9-5 14-14 14H26c-9 0-14-5-14-14V48c0-9 5-14 14-14z',
    top: 34,
    floor: 110,
    x: 12,
    width: 80,
    label: 22,
  },
}

/** The vessel that the batch goes into: filled to its volume, what is spoken for marked off against the rest. */
export function Vessel({ kind, volume, taken = 0, size, neck, figure, unit }: Props) {
  const { outline, top, floor, x, width, label } = SHAPES[kind]
  const full = size ?? SIZES.find((s) => s >= volume) ?? volume
  const y = (ml: number) => floor - (Math.min(ml, full) / full) * (floor - top)
  const short = taken > volume
  return (
    <svg
      className={styles.vessel}
      viewBox="0 0 104 136"
      role="img"
      aria-label={text.vessel(text.vessels[kind], figure, unit)}
    >
      <path className={styles.glass} d={outline} />
      {volume > 0 && (
        <rect
          className={styles[kind]}
          x={x}
          width={width}
          y={y(volume)}
          height={floor - y(volume) + 2}
          rx={3}
        />
      )}
      {taken > 0 && (
        <path
          className={short ? styles.short : styles.doses}
          d={`M${x} ${y(volume - Math.min(taken, volume))}h${width}`}
        />
      )}
      <text className={styles.figure} x={52} y={88}>
        {figure}
      </text>
      <text className={styles.unit} x={52} y={106}>
        {unit}
      </text>
      <text className={styles.size} x={52} y={label}>
        {neck ?? (volume > 0 && text.vesselOf(full, kind === 'bottle' ? '' : text.vessels[kind]))}
      </text>
    </svg>
  )
}
