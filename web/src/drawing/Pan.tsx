import { useLayoutEffect, useRef, type ReactNode } from 'react'
import styles from './Pan.module.css'

/** A drawing wider than the screen, moved aside by thumb; it opens with a share of its width in the middle. */
export function Pan({ to, children }: { to: number; children: ReactNode }) {
  const pane = useRef<HTMLDivElement>(null)
  const first = useRef(to)
  useLayoutEffect(() => {
    const p = pane.current
    if (p) p.scrollLeft = first.current * p.scrollWidth - p.clientWidth / 2
  }, [])
  return (
    <div ref={pane} className={styles.pan}>
      {children}
    </div>
  )
}
