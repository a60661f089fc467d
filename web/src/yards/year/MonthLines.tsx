import { month } from '../../kit'
import styles from './ColonyYear.module.css'
import type { Scale } from './scale'

/** The months, as lines down a drawing of a year. */
export const MonthLines = ({ scale, bottom }: { scale: Scale; bottom: number }) =>
  scale.months.map((m) => (
    <g key={m}>
      <path className={styles.grid} d={`M${scale.x(m)} 22V${bottom}`} />
      <text x={scale.x(m) + 4} y={14}>
        {m.endsWith('-01-01') ? `${month(m)} ’${m.slice(2, 4)}` : month(m)}
      </text>
    </g>
  ))
