import type { Schemas } from '../api/client'
import { seams as fraction } from '../kit'
import styles from './HiveFront.module.css'

const PLACE = 7.6
const WALL = 5
const DEPTH: Record<Schemas['HiveBox']['kind'], number> = { deep: 48, medium: 34, shallow: 28 }
const ROOF = 10
const FEET = 7

interface Props {
  boxes: readonly Schemas['HiveBox'][]
  /** Full seams in all boxes, when anybody looked. */
  seams?: number | undefined
  forHoney?: boolean | undefined
}

/** A hive from the front: its boxes to scale, standing on its feet. */
export function HiveFront({ boxes, seams, forHoney }: Props) {
  const widths = boxes.map((b) => b.slots.length * PLACE + 2 * WALL)
  const width = Math.max(...widths, 30) + 8
  const heights = boxes.map((b) => DEPTH[b.kind])
  const height = heights.reduce((a, b) => a + b, 0) + ROOF + FEET
  const middle = width / 2
  const bottoms = heights.map((_, i) => height - FEET - heights.slice(0, i).reduce((a, b) => a + b, 0))
  const top = bottoms.at(-1)! - heights.at(-1)!
  return (
    <svg
      className={styles.hive}
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden="true"
    >
      <path
        className={styles.feet}
        d={`M${middle - widths[0]! / 3} ${height}v-${FEET}M${middle + widths[0]! / 3} ${height}v-${FEET}`}
      />
      {boxes.map((b, i) => (
        <g key={i}>
          <rect
            className={styles.box}
            x={middle - widths[i]! / 2}
            y={bottoms[i]! - heights[i]!}
            width={widths[i]}
            height={heights[i]}
            rx="1.5"
          />
          <path className={styles.grip} d={`M${middle - 7} ${bottoms[i]! - heights[i]! * 0.62}h14`} />
          {b.slots.map(
            (s, k) =>
              s !== 'comb' && (
                <rect
                  key={k}
                  className={styles.other}
                  x={middle - widths[i]! / 2 + WALL + k * PLACE}
                  y={bottoms[i]! - heights[i]! + 3}
                  width={PLACE - 1.6}
                  height={heights[i]! - 6}
                />
              ),
          )}
        </g>
      ))}
      <path className={styles.door} d={`M${middle - 9} ${height - FEET - 3}h18`} />
      <rect
        className={styles.roof}
        x={middle - Math.max(...widths) / 2 - 3}
        y={top - ROOF}
        width={Math.max(...widths) + 6}
        height={ROOF}
        rx="2"
      />
      {forHoney && (
        <circle
          className={styles.honey}
          cx={middle + Math.max(...widths) / 2 - 5}
          cy={top - ROOF / 2}
          r="2.6"
        />
      )}
      {seams !== undefined && (
        <text className={styles.seams} x={middle} y={height - FEET - 9}>
          {fraction(seams)}
        </text>
      )}
    </svg>
  )
}
