import { useRef, type KeyboardEvent } from 'react'
import { plain, seams as fraction } from '../units/format'
import styles from './Board.module.css'
import { text } from './text'

export type Slot = 'comb' | 'feeder' | 'dummy' | 'empty'
export type Depth = 'deep' | 'medium' | 'shallow'

export interface BoardGap {
  open: boolean
  /** Bees in the gap, 0 to 1 in quarters. */
  seam: number
  /** What it gets; undefined while it is not known. */
  ml?: number
}

interface Props {
  name: string
  depth: Depth
  slots: readonly Slot[]
  gaps: readonly BoardGap[]
  onSeam?: (gap: number, seam: number) => void
}

const GAP = 24
const WALL = 4
const HEIGHT: Record<Depth, number> = { deep: 84, medium: 66, shallow: 54 }
const FIGURES = 21
/** Boxes are to scale beside each other: a nuc is drawn narrower than ten frames. */
const SCALE = 11 * GAP + 2 * WALL

/**
 * A box seen from above: combs as bars, bees as dark bodies in the gaps between
 * them, and below each gap what it gets. A gap is touched over the whole depth.
 */
export function Board({ name, depth, slots, gaps, onSeam }: Props) {
  const svg = useRef<SVGSVGElement>(null)
  const height = HEIGHT[depth]
  const width = gaps.length * GAP + 2 * WALL
  const wide = Math.max(width, SCALE)

  const focus = (gap: number) => svg.current?.querySelector<SVGElement>(`[data-gap="${gap}"]`)?.focus()
  const neighbour = (from: number, step: number) => {
    for (let g = from + step; g >= 0 && g < gaps.length; g += step) if (gaps[g]?.open) return focus(g)
  }
  const keys = (gap: number, seam: number) => (e: KeyboardEvent) => {
    const set: Record<string, number> = {
      ' ': (seam + 0.25) % 1.25,
      Enter: (seam + 0.25) % 1.25,
      ArrowUp: Math.min(1, seam + 0.25),
      ArrowDown: Math.max(0, seam - 0.25),
      '0': 0,
      '1': 0.25,
      '2': 0.5,
      '3': 0.75,
      '4': 1,
    }
    const value = set[e.key]
    if (e.key === 'ArrowLeft') neighbour(gap, -1)
    else if (e.key === 'ArrowRight') neighbour(gap, 1)
    else if (value !== undefined) onSeam?.(gap, value)
    else return
    e.preventDefault()
    e.stopPropagation()
  }
  const stop = gaps.findIndex((g) => g.open)

  return (
    <svg
      ref={svg}
      className={styles.board}
      viewBox={`0 0 ${wide} ${height + FIGURES}`}
      role="group"
      aria-label={text.board(name)}
    >
      <rect className={styles.box} x={1} y={1} width={width - 2} height={height - 2} rx={3} />
      {slots.map((slot, i) => (
        <SlotMark key={i} slot={slot} x={WALL + (i + 1) * GAP} height={height} />
      ))}
      {gaps.map((gap, i) => {
        const x = WALL + i * GAP
        const body = gap.seam * (height - 16)
        const figure = gap.ml === undefined ? '' : gap.ml > 0 ? plain(gap.ml) : '·'
        return (
          <g
            key={i}
            data-gap={i}
            className={gap.open && onSeam ? styles.live : undefined}
            {...(gap.open && onSeam
              ? {
                  role: 'slider',
                  tabIndex: i === stop ? 0 : -1,
                  'aria-label': text.gap(i + 1),
                  'aria-valuemin': 0,
                  'aria-valuemax': 1,
                  'aria-valuenow': gap.seam,
                  'aria-valuetext': text.gapHolds(fraction(gap.seam), figure),
                  onClick: () => onSeam(i, (gap.seam + 0.25) % 1.25),
                  onKeyDown: keys(i, gap.seam),
                }
              : {})}
          >
            <rect className={styles.touch} x={x} y={0} width={GAP} height={height + FIGURES} />
            {body > 0 && (
              <rect
                className={styles.bees}
                x={x + 3.5}
                width={GAP - 7}
                y={(height - body) / 2}
                height={body}
                rx={5}
              />
            )}
            <text
              className={figure === '·' ? styles.none : figure.length > 3 ? styles.tight : styles.ml}
              x={x + GAP / 2}
              y={height + 15}
            >
              {gap.open ? figure : ''}
            </text>
          </g>
        )
      })}
    </svg>
  )
}

function SlotMark({ slot, x, height }: { slot: Slot; x: number; height: number }) {
  switch (slot) {
    case 'comb':
      return <rect className={styles.comb} x={x - 1.8} y={6} width={3.6} height={height - 12} rx={1} />
    case 'feeder':
      return (
        <g className={styles.feeder}>
          <rect x={x - 8} y={6} width={16} height={height - 12} rx={3} />
          <text x={x} y={height / 2 + 4}>
            F
          </text>
        </g>
      )
    case 'dummy':
      return <rect className={styles.dummy} x={x - 3} y={4} width={6} height={height - 8} />
    case 'empty':
      return null
  }
}
