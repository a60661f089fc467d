import { ROUND_CACHE } from '../api/names'
import { speakFor, type Schemas } from '../api/client'
import { queries } from './queries'
import { readKept, writeKept } from './storage'
import { goBy, UNITS } from './ways'

const WHO = 'keeler.who'

/**
 * Takes note of who is signed in. Where nobody is, nothing of an operation is kept for
 * when there is no signal; where it is another person than before, nothing at all is.
 */
export function arrived<S extends Pick<Schemas['Start'], 'me'>>(start: S): S {
  const who = start.me?.who
  speakFor(who)
  goBy(start.me?.writes)
  if (who === undefined) dropRounds()
  else if (readKept(WHO) !== who) {
    if (readKept(WHO) !== undefined) forgetThem()
    writeKept(WHO, who)
  }
  return start
}

/** Puts down all that whoever was signed in has seen and typed. What waits to be sent stays. */
export function forgetThem() {
  try {
    const keys = Object.keys(localStorage).filter((k) => k.startsWith('keeler.') && k !== UNITS)
    keys.forEach((k) => localStorage.removeItem(k))
  } catch {
    // it is forbidden, and so nothing is there
  }
  queries.removeQueries({ predicate: (q) => q.queryKey[0] !== 'start' })
  dropRounds()
}

const dropRounds = () => {
  if ('caches' in globalThis) void caches.delete(ROUND_CACHE)
}
