import { useRef } from 'react'
import styles from './Days.module.css'
import { text } from './text'

const LAST = 28

/** The days of visits as marks on a line: dragged, moved by the arrow keys, taken off with Delete. */
export function Days({ days, onDays }: { days: number[]; onDays: (days: number[]) => void }) {
  const line = useRef<HTMLDivElement>(null)
  const held = useRef<number>(undefined)
  const put = (i: number, day: number) =>
    onDays(days.map((d, k) => (k === i ? Math.max(0, Math.min(LAST, day)) : d)))
  const at = (clientX: number) => {
    const box = line.current?.getBoundingClientRect()
    return box ? Math.round(((clientX - box.left) / box.width) * LAST) : 0
  }
  return (
    <div
      ref={line}
      className={styles.days}
      onPointerMove={(e) => held.current !== undefined && put(held.current, at(e.clientX))}
      onPointerUp={() => (held.current = undefined)}
    >
      {days.map((d, i) => (
        <button
          key={i}
          type="button"
          role="slider"
          aria-label={text.visit(i + 1)}
          aria-valuemin={0}
          aria-valuemax={LAST}
          aria-valuenow={d}
          style={{ left: `${(100 * d) / LAST}%` }}
          onPointerDown={(e) => {
            held.current = i
            e.currentTarget.parentElement?.setPointerCapture(e.pointerId)
            e.currentTarget.focus()
          }}
          onKeyDown={(e) => {
            const step = { ArrowLeft: -1, ArrowRight: 1, PageDown: -7, PageUp: 7 }[e.key]
            if (step) put(i, d + step)
            if (e.key === 'Delete' && days.length > 1) onDays(days.filter((_, k) => k !== i))
          }}
          data-visit={d}
        >
          {d}
        </button>
      ))}
    </div>
  )
}
