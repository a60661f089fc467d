import { fixed } from '../kit'
import styles from './Ladder.module.css'
import { text } from './text'

export interface Rung {
  id: string
  name: string
  at: number
}

interface Props {
  rungs: readonly Rung[]
  unit: string
  /** Places after the point of a rung's strength. */
  places?: number
  /** Where this batch stands. */
  at?: number
  /** What it is filled with: the class of its vessel. */
  fill: 'jar' | 'pot' | 'bottle'
  chosen?: string
  onChoose?: (id: string) => void
}

const WIDTH = 300
const HEIGHT = 136
const BOTTOM = HEIGHT - 10
const ROW = 21

/** The protocols by strength, the weakest lowest, and where this batch stands among them. */
export function Ladder({ rungs, unit, places = 0, at, fill, chosen, onChoose }: Props) {
  const strengths = rungs.map((r) => r.at)
  const low = Math.min(...strengths, at ?? Infinity) - 4
  const high = Math.max(...strengths, at ?? -Infinity) + 4
  const y = (v: number) => BOTTOM - ((v - low) / (high - low)) * (BOTTOM - 14)
  // Words keep apart even where rungs are close.
  const words: number[] = []
  rungs.forEach((r, i) => words.push(Math.min(y(r.at), (words[i - 1] ?? BOTTOM + ROW) - ROW)))
  const inside =
    at !== undefined && at >= Math.min(...strengths) * 0.995 && at <= Math.max(...strengths) * 1.005

  return (
    <svg className={styles.ladder} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="group" aria-label={text.ladder}>
      <rect className={styles.tube} x={52} y={4} width={26} height={BOTTOM} rx={6} />
      {at !== undefined && (
        <rect
          className={styles[fill]}
          x={54}
          width={22}
          y={y(at)}
          height={Math.max(0, BOTTOM + 2 - y(at))}
          rx={4}
        />
      )}
      {rungs.map((r, i) => {
        const line = words[i] ?? 0
        const on = r.id === chosen
        return (
          <g
            key={r.id}
            className={onChoose ? styles.live : undefined}
            data-protocol={r.id}
            {...(onChoose
              ? {
                  role: 'button',
                  tabIndex: 0,
                  'aria-pressed': on,
                  onClick: () => onChoose(r.id),
                  onKeyDown: (e) => {
                    if (e.key === 'Enter' || e.key === ' ') {
                      e.preventDefault()
                      e.stopPropagation()
                      onChoose(r.id)
                    }
                  },
                }
              : {})}
          >
            <rect className={styles.touch} x={80} y={line - 11} width={WIDTH - 80} height={ROW + 1} rx={4} />
            <path className={styles.rung} d={`M78 ${y(r.at)}h8l10 ${line - y(r.at)}h6`} />
            <text y={line + 5}>
              <tspan className={on ? styles.on : styles.name} x={108}>
                {r.name}
              </tspan>{' '}
              <tspan className={styles.strength} x={WIDTH - 4}>
                {fixed(r.at, places)} {unit}
              </tspan>
            </text>
          </g>
        )
      })}
      {at !== undefined && (
        <g className={inside ? styles.mark : styles.outside}>
          <path d={`M46 ${y(at)}h38`} />
          <text x={42} y={y(at) + 5}>
            {fixed(at, 1)}
          </text>
        </g>
      )}
    </svg>
  )
}
