import { useEffect, useState } from 'react'

/** ms: after which it is done all the same. */
const PATIENCE = 1000

/** Does something when there is nothing else to do, or after a while: a browser may not tell, or never be idle. */
export function whenIdle(then: () => void): () => void {
  if ('requestIdleCallback' in globalThis) {
    const id = requestIdleCallback(then, { timeout: PATIENCE })
    return () => cancelIdleCallback(id)
  }
  const id = setTimeout(then, PATIENCE)
  return () => clearTimeout(id)
}

/** Whether there was nothing else to do yet: what can wait is drawn then. */
export function useIdle() {
  const [idle, setIdle] = useState(false)
  useEffect(() => whenIdle(() => setIdle(true)), [])
  return idle
}
