import { useRef } from 'react'

/** ms; the second of two taps that were meant as one comes sooner. */
const SLIP = 1000

/** Lets one tap through and none within a second of it, by the phone's clock. */
export function useOnce() {
  const last = useRef<number>(undefined)
  return () => {
    const now = Date.now()
    const since = last.current === undefined ? SLIP : now - last.current
    if (since >= 0 && since < SLIP) return false
    last.current = now
    return true
  }
}
