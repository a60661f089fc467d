import { useEffect, useState } from 'react'

/** Does something when there is nothing else to do, or after a while where the browser does not tell. */
export function whenIdle(then: () => void): () => void {
  if ('requestIdleCallback' in globalThis) {
    const id = requestIdleCallback(then)
    return () => cancelIdleCallback(id)
  }
  const id = setTimeout(then, 1000)
  return () => clearTimeout(id)
}

/** Whether there was nothing else to do yet: what can wait is drawn then. */
export function useIdle() {
  const [idle, setIdle] = useState(false)
  useEffect(() => whenIdle(() => setIdle(true)), [])
  return idle
}
