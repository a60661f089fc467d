import { useLayoutEffect, useRef, type ReactNode } from 'react'
import styles from './Pan.module.css'

interface Props {
  /** The share of its width that it opens with in the middle. */
  to: number
  /** What it is, where nothing in it takes the keyboard: the arrows move it then. */
  label?: string
  children: ReactNode
}

/** A drawing wider than the screen, moved aside by thumb. */
export function Pan({ to, label, children }: Props) {
  const pane = useRef<HTMLDivElement>(null)
  const first = useRef(to)
  useLayoutEffect(() => {
    const p = pane.current
    if (p) p.scrollLeft = first.current * p.scrollWidth - p.clientWidth / 2
  }, [])
  return (
    <div
      ref={pane}
      className={styles.pan}
      {...(label && { role: 'region', 'aria-label': label, tabIndex: 0 })}
    >
      {children}
    </div>
  )
}
