import { useEffect, useRef, useState, type ReactNode } from 'react'

interface Props {
  /** About how high it will be, px. */
  height: number
  children: ReactNode
}

/**
 * Draws its content when it comes near the window, or else as soon as there is nothing else to
 * do: what is found by the browser or read aloud is all there, and what is seen comes first.
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
    const waiting = idle(draw)
    return () => {
      watch.disconnect()
      waiting()
    }
  }, [])
  return (
    <div ref={place} style={drawn ? undefined : { height }}>
      {drawn && children}
    </div>
  )
}

/** Does something when there is nothing else to do; one browser does not tell when. */
function idle(then: () => void): () => void {
  if ('requestIdleCallback' in globalThis) {
    const id = requestIdleCallback(then)
    return () => cancelIdleCallback(id)
  }
  const id = setTimeout(then, 1000)
  return () => clearTimeout(id)
}
