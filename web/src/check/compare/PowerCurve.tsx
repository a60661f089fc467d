import type { Schemas } from '../../api/client'
import styles from './PowerPanel.module.css'
import { text } from './text'

export interface Curve {
  label: string
  chances: Schemas['Chances'][]
  /** It is the one that was asked for. */
  mine: boolean
}

const WIDTH = 440
const HEIGHT = 190
const LEFT = 34
const TOP = 26
const FOOT = 34
const MOST = 40

/** The chance of telling the better one, by the hives in each group. */
export function PowerCurve({
  curves,
  wanted,
  enough,
}: {
  curves: Curve[]
  wanted: number
  enough: number | undefined
}) {
  const x = (hives: number) => LEFT + ((WIDTH - LEFT) * hives) / MOST
  const y = (chance: number) => TOP + (HEIGHT - TOP) * (1 - chance)
  return (
    <svg
      className={styles.curve}
      viewBox={`0 0 ${WIDTH + 8} ${HEIGHT + FOOT}`}
      role="img"
      aria-label={[text.chanceOf, ...curves.map(spoken)].join('; ')}
    >
      <text x="0" y="12">
        {text.chanceOf}
      </text>
      {[0, 0.5, 1].map((v) => (
        <g key={v}>
          <path className={styles.grid} d={`M${LEFT} ${y(v)}H${WIDTH}`} />
          <text x={LEFT - 6} y={y(v) + 4} textAnchor="end">
            {100 * v}
          </text>
        </g>
      ))}
      {wanted > 0 && <path className={styles.wanted} d={`M${LEFT} ${y(wanted)}H${WIDTH}`} />}
      {[5, 10, 20, 30, 40].map((n) => (
        <text key={n} x={x(n)} y={HEIGHT + 16} textAnchor="middle">
          {n}
        </text>
      ))}
      <text x={WIDTH} y={HEIGHT + 31} textAnchor="end">
        {text.perGroup}
      </text>
      {curves.map((c) => {
        const reached = c.chances.find((k) => k.chance >= wanted)
        const at = reached ?? c.chances.at(-1)
        return (
          <g key={c.label} className={c.mine ? styles.mine : styles.beside} data-curve={c.label}>
            <polyline points={c.chances.map((k) => `${x(k.colonies)},${y(k.chance)}`).join(' ')} />
            {at && (
              <text x={x(at.colonies)} y={reached ? y(at.chance) - 8 : y(at.chance) + 20} textAnchor="end">
                {c.label}
              </text>
            )}
          </g>
        )
      })}
      {enough !== undefined && (
        <g className={styles.enough}>
          <path d={`M${x(enough)} ${y(wanted)}V${HEIGHT}`} />
          <circle cx={x(enough)} cy={y(wanted)} r="6" />
          <text x={x(enough) + 8} y={HEIGHT - 6}>
            {enough}
          </text>
        </g>
      )}
    </svg>
  )
}

const spoken = ({ label, chances }: Curve) =>
  `${label}: ${chances.map((k) => `${k.colonies}: ${Math.round(100 * k.chance)}`).join(', ')}`
