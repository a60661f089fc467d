import { useEffect, useRef, useState, type ReactNode } from 'react'

interface Props {
  /** About how high it will be, px. */
  height: number
  children: ReactNode
}

/** Draws its content when it comes near the window, and then keeps it; until then it only takes its place. */
export function Near({ height, children }: Props) {
  const place = useRef<HTMLDivElement>(null)
  const [near, setNear] = useState(false)
  useEffect(() => {
    const watch = new IntersectionObserver(
      ([entry]) => {
        if (entry?.isIntersecting) setNear(true)
      },
      { rootMargin: '400px' },
    )
    watch.observe(place.current!)
    return () => watch.disconnect()
  }, [])
  return (
    <div ref={place} style={near ? undefined : { height }}>
      {near && children}
    </div>
  )
}
