import { type KeyboardEvent, type MouseEvent, useCallback, useState } from 'react'
import type { Schemas } from '../api/client'
import styles from './Marked.module.css'
import { text } from './text'

type Mark = Schemas['Mark']

interface Props {
  /** Where it is, or the photo itself. */
  src: string | Blob
  marks: readonly Mark[]
  /** Left out where they are only looked at. */
  onMarks?: ((marks: Mark[]) => void) | undefined
}

const ZOOMS = [1, 2, 3]
const STEP = 0.01
/** Within so much of the width a tap is on a mark. */
const NEAR = 0.012

/**
 * A photo of a board with its marks: a tap marks a mite, a tap on a mark takes it off. By keyboard a
 * cross is moved with the arrows, the space bar marks.
 */
export function Marked({ src, marks, onMarks }: Props) {
  const [zoom, setZoom] = useState(1)
  const [cross, setCross] = useState<Mark>()
  const [shape, setShape] = useState(1) // height over width
  const show = useCallback(
    (image: HTMLImageElement | null) => {
      if (!image) return
      image.src = typeof src === 'string' ? src : URL.createObjectURL(src)
      return () => URL.revokeObjectURL(image.src)
    },
    [src],
  )
  const at = (e: MouseEvent<HTMLElement>): Mark => {
    const box = e.currentTarget.getBoundingClientRect()
    return { x: clip((e.clientX - box.left) / box.width), y: clip((e.clientY - box.top) / box.height) }
  }
  const toggle = (m: Mark) => {
    const reach = NEAR / zoom + 0.006
    const near = marks.findIndex((k) => Math.hypot(k.x - m.x, (k.y - m.y) * shape) < reach)
    onMarks?.(near < 0 ? [...marks, m] : marks.filter((_, i) => i !== near))
  }
  const onKey = (e: KeyboardEvent) => {
    const c = cross ?? { x: 0.5, y: 0.5 }
    const step = e.shiftKey ? 10 * STEP : STEP
    const moved = {
      ArrowLeft: { ...c, x: clip(c.x - step) },
      ArrowRight: { ...c, x: clip(c.x + step) },
      ArrowUp: { ...c, y: clip(c.y - step) },
      ArrowDown: { ...c, y: clip(c.y + step) },
    }[e.key]
    if (moved) setCross(moved)
    else if (e.key === ' ') toggle(c)
    else if (e.key === 'Backspace') onMarks?.(marks.slice(0, -1))
    else return
    e.preventDefault()
  }
  return (
    <figure className={styles.photo} data-marked={marks.length}>
      <div className={styles.window}>
        <div
          className={styles.board}
          style={{ width: `${100 * zoom}%` }}
          role={onMarks ? 'application' : undefined}
          aria-label={onMarks ? text.photoKeys : undefined}
          tabIndex={onMarks ? 0 : undefined}
          onClick={onMarks && ((e) => toggle(at(e)))}
          onKeyDown={onMarks && onKey}
          data-photo
        >
          <img
            ref={show}
            alt={text.photoOf(marks.length)}
            onLoad={(e) => setShape(e.currentTarget.naturalHeight / e.currentTarget.naturalWidth)}
          />
          {marks.map((m, i) => (
            <span key={i} className={styles.mark} style={place(m)} />
          ))}
          {cross && onMarks && <span className={styles.cross} style={place(cross)} />}
        </div>
      </div>
      <figcaption>
        <b>{text.marked(marks.length)}</b>
        {ZOOMS.map((z) => (
          <button key={z} type="button" aria-pressed={z === zoom} onClick={() => setZoom(z)}>
            {z}×
          </button>
        ))}
      </figcaption>
    </figure>
  )
}

const clip = (v: number) => Math.round(1e4 * Math.max(0, Math.min(1, v))) / 1e4

const place = (m: Mark) => ({ left: `${100 * m.x}%`, top: `${100 * m.y}%` })
