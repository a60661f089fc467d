import useMediaQuery from '@mui/material/useMediaQuery'
import { useRef, type KeyboardEvent } from 'react'
import { seams as fraction } from '../kit'
import styles from './Board.module.css'
import { Hung, type Hangs } from './Hung'
import { Lid, type LidProps } from './Lid'
import { Pan } from './Pan'
import { text } from './text'

export type Slot = 'comb' | 'feeder' | 'dummy' | 'empty'
export type Depth = 'deep' | 'medium' | 'shallow'

export interface BoardGap {
  open: boolean
  /** Bees in the gap, 0 to 1 in quarters. */
  seam: number
  /** Stands below the gap: what it gets. */
  figure?: string
  hung?: Hangs
  /** The share of it that is done already. */
  done?: number
}

/** What a touch of the board changes. */
export type Touch =
  | { sets: 'seam'; on: (gap: number, seam: number) => void }
  | { sets: 'strip'; on: (gap: number) => void }
  | { sets: 'brood'; on: (slot: number) => void }

export interface BoardProps {
  name: string
  depth: Depth
  slots: readonly Slot[]
  gaps: readonly BoardGap[]
  /** One a slot: the comb holds sealed brood. */
  brood?: readonly boolean[]
  lid?: LidProps
  touch?: Touch
}

export const GAP = 24
const WALL = 4
const HEIGHT: Record<Depth, number> = { deep: 84, medium: 66, shallow: 54 }
/** Under a thumb a gap is as wide as a gloved finger, and the box lower for it: the gaps with bees fill the screen. */
const WIDE_HEIGHT: Record<Depth, number> = { deep: 46, medium: 40, shallow: 36 }
const FINGER = 56
const FIGURES = 21
const WIDE_FIGURES = 13
/** Boxes are to scale beside each other: a nuc is drawn narrower than ten frames. */
const SCALE = 11 * GAP + 2 * WALL

/**
 * A box seen from above: combs as bars, bees as dark bodies in the gaps between
 * them, and below each gap what it gets. A gap is touched over the whole depth.
 */
export function Board({ name, depth, slots, gaps, brood, lid, touch }: BoardProps) {
  const thumb = useMediaQuery('(pointer: coarse) and (max-width: 700px)', { noSsr: true })
  const wide = thumb && touch !== undefined
  const height = (wide ? WIDE_HEIGHT : HEIGHT)[depth]
  const figures = gaps.some((g) => g.figure !== undefined) ? (wide ? WIDE_FIGURES : FIGURES) : 4
  const width = gaps.length * GAP + 2 * WALL
  const comb = (slot: number) => WALL + (slot + 1) * GAP
  const gap = (i: number) => WALL + i * GAP
  const drawing = (
    <svg
      className={wide ? `${styles.board} ${styles.wide}` : styles.board}
      style={wide ? { width: (width / GAP) * FINGER } : undefined}
      viewBox={`0 0 ${wide ? width : Math.max(width, SCALE)} ${height + figures}`}
      role="group"
      aria-label={text.board(name)}
    >
      <rect className={styles.box} x={1} y={1} width={width - 2} height={height - 2} rx={3} />
      {slots.map((slot, i) => (
        <SlotMark key={i} slot={slot} x={comb(i)} height={height} brood={brood?.[i]} />
      ))}
      {gaps.map(({ open, seam, figure, hung, done = 0 }, i) => {
        const body = seam * (height - 16)
        return (
          <g key={i}>
            {body > 0 && (
              <rect
                className={lid ? styles.faint : styles.bees}
                x={gap(i) + 3.5}
                width={GAP - 7}
                y={(height - body) / 2}
                height={body}
                rx={5}
              />
            )}
            {done > 0 && (
              <rect
                className={styles.done}
                data-done
                x={gap(i) + 3.5}
                width={GAP - 7}
                y={(height - body) / 2}
                height={body * done}
                rx={5}
              />
            )}
            {hung && <Hung kind={hung} x={gap(i) + GAP / 2} height={height} />}
            {open && figure !== undefined && (
              <text
                className={figure === '·' ? styles.none : figure.length > 3 ? styles.tight : styles.ml}
                x={gap(i) + GAP / 2}
                y={height + (wide ? 10 : 15)}
              >
                {figure}
              </text>
            )}
          </g>
        )
      })}
      {lid && <Lid {...lid} width={width} height={height} />}
      {touch?.sets === 'brood' ? (
        <Cells
          at={slots.flatMap((s, i) => (s === 'comb' ? [{ i, x: comb(i) - GAP / 2 }] : []))}
          height={height + figures}
          name="comb"
          about={(i) => toggle(text.comb(i + 1), brood?.[i] ?? false, () => touch.on(i))}
        />
      ) : (
        touch && (
          <Cells
            at={gaps.flatMap((g, i) => (g.open ? [{ i, x: gap(i) }] : []))}
            height={height + figures}
            name="gap"
            about={(i) => aboutGap(touch, i, gaps[i]!)}
          />
        )
      )}
    </svg>
  )
  return wide ? <Pan to={gap(middle(gaps) + 0.5) / width}>{drawing}</Pan> : drawing
}

/** The gap about which the bees sit; without bees that in the middle. */
function middle(gaps: readonly BoardGap[]) {
  const all = gaps.reduce((sum, g) => sum + g.seam, 0)
  return all > 0 ? gaps.reduce((sum, g, i) => sum + i * g.seam, 0) / all : (gaps.length - 1) / 2
}

interface About {
  aria: React.SVGAttributes<SVGGElement>
  press: () => void
  /** What other keys do. */
  keys?: Record<string, () => void>
}

const toggle = (label: string, on: boolean, press: () => void): About => ({
  aria: { role: 'checkbox', 'aria-label': label, 'aria-checked': on },
  press,
})

function aboutGap(touch: Exclude<Touch, { sets: 'brood' }>, i: number, gap: BoardGap): About {
  if (touch.sets === 'strip')
    return toggle(
      text.stripIn(i + 1, fraction(gap.seam)),
      gap.hung !== undefined && gap.hung !== 'from_above',
      () => touch.on(i),
    )
  const set = (seam: number) => () => touch.on(i, seam)
  return {
    aria: {
      role: 'slider',
      'aria-label': text.gap(i + 1),
      'aria-valuemin': 0,
      'aria-valuemax': 1,
      'aria-valuenow': gap.seam,
      'aria-valuetext': text.gapHolds(fraction(gap.seam), gap.figure ?? ''),
    },
    press: set((gap.seam + 0.25) % 1.25),
    keys: {
      ArrowUp: set(Math.min(1, gap.seam + 0.25)),
      ArrowDown: set(Math.max(0, gap.seam - 0.25)),
      '0': set(0),
      '1': set(0.25),
      '2': set(0.5),
      '3': set(0.75),
      '4': set(1),
    },
  }
}

interface CellsProps {
  at: readonly { i: number; x: number }[]
  height: number
  name: 'gap' | 'comb'
  about: (i: number) => About
}

/** What can be touched: one tab stop, and the arrows from cell to cell. */
function Cells({ at, height, name, about }: CellsProps) {
  const group = useRef<SVGGElement>(null)
  const focus = (k: number) => group.current?.querySelectorAll<SVGElement>('[tabindex]')[k]?.focus()
  return (
    <g ref={group}>
      {at.map(({ i, x }, k) => {
        const { aria, press, keys } = about(i)
        const onKeyDown = (e: KeyboardEvent) => {
          if (e.key === 'ArrowLeft') focus(k - 1)
          else if (e.key === 'ArrowRight') focus(k + 1)
          else if (e.key === ' ' || e.key === 'Enter') press()
          else if (keys?.[e.key]) keys[e.key]!()
          else return
          e.preventDefault()
          e.stopPropagation()
        }
        return (
          <g
            key={i}
            {...{ [`data-${name}`]: i }}
            className={styles.live}
            tabIndex={k === 0 ? 0 : -1}
            {...aria}
            onClick={press}
            onKeyDown={onKeyDown}
          >
            <rect className={styles.touch} x={x} y={0} width={GAP} height={height} />
          </g>
        )
      })}
    </g>
  )
}

interface SlotProps {
  slot: Slot
  x: number
  height: number
  brood: boolean | undefined
}

function SlotMark({ slot, x, height, brood }: SlotProps) {
  switch (slot) {
    case 'comb':
      return brood ? (
        <rect className={styles.brood} x={x - 4} y={8} width={8} height={height - 16} rx={3} />
      ) : (
        <rect className={styles.comb} x={x - 1.8} y={6} width={3.6} height={height - 12} rx={1} />
      )
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
