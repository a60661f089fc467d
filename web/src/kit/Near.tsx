import { useEffect, useRef, useState, type ReactNode } from 'react'
import { whenIdle } from './useIdle'

interface Props {
  /** About how high it will be, px. */
  height: number
  children: ReactNode
}

/**
 * Draws its content when it comes near the window, or else when there is nothing else to do: what
 * is found by the browser or read aloud is all there, and what is seen comes first.
 */
export function Near({ height, children }: Props) {
  const place = useRef<HTMLDivElement>(null)
  const [drawn, setDrawn] = useState(false)
  useEffect(() => {
    const draw = () => setDrawn(true)
    const watch = new IntersectionObserver(([entry]) => entry?.isIntersecting && draw(), {
      rootMargin: '400px',
    })
    watch.observe(place.current!)
    waiting.add(draw)
    if (waiting.size === 1) next()
    return () => {
      watch.disconnect()
      waiting.delete(draw)
    }
  }, [])
  return (
    <div ref={place} style={drawn ? undefined : { height }}>
      {drawn && children}
    </div>
  )
}

/** What is still to be drawn: one a frame, so that the page answers in between. */
const waiting = new Set<() => void>()

function next() {
  requestAnimationFrame(() =>
    whenIdle(() => {
      const [draw] = waiting
      if (!draw) return
      draw()
      waiting.delete(draw)
      if (waiting.size > 0) next()
    }),
  )
}
