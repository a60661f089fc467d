import { useEffect } from 'react'
import { listen } from './stream'
import type { Told } from './hub'

/** ms */
const TOGETHER = 250

/**
 * Tells that something happened at a thing: of several that come quickly once, a moment after the first,
 * and then not before a rest (ms) is over. tell stays the same function.
 */
export function useTold(at: string, tell: (t: Told) => void, rest = 0) {
  useEffect(() => {
    let soon: ReturnType<typeof setTimeout> | undefined
    let news: Told | undefined
    let last = -Infinity
    const deaf = listen({ at, readings: false }, (told) => {
      // That something happened says more than that it is listened to.
      if (!news || 'changed' in told) news = told
      soon ??= setTimeout(
        () => {
          tell(news!)
          soon = news = undefined
          last = Date.now()
        },
        Math.max(TOGETHER, last + rest - Date.now()),
      )
    })
    return () => {
      clearTimeout(soon)
      deaf()
    }
  }, [at, tell, rest])
}
