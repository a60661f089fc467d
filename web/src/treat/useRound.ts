import { replaceEqualDeep, useQuery } from '@tanstack/react-query'
import { useCallback, useEffect, useState } from 'react'
import type { Schemas } from '../api/client'
import { loadCore, type Core } from '../core/core'
import { roundKey } from '../outbox/queue'
import { ask, queries } from '../kit'
import { useTold } from '../stream/useTold'

/** A round as it stands, told anew whenever somebody does something in it. */
export function useRound(job: string, day: string, act: string | undefined) {
  const round = useQuery({
    ...ask(roundKey(job, day, act), '/api/jobs/{id}/visit', {
      path: { id: job },
      query: { day, ...(act && { act }) },
    }),
    staleTime: 10_000,
    structuralSharing: newer,
  })
  const anew = useCallback(
    () => void queries.invalidateQueries({ queryKey: roundKey(job, day, act) }, { cancelRefetch: false }),
    [job, day, act],
  )
  useTold(job, anew)
  return round
}

/**
 * Of two answers the one that knows more: on a slow way, or out of the phone's own store, an
 * older one can come last, and would hide a dose that was given.
 */
const newer = (was: unknown, now: unknown) =>
  ((now as Newest).newest ?? 0) < ((was as Newest | undefined)?.newest ?? 0)
    ? was
    : replaceEqualDeep(was, now)

type Newest = Partial<Pick<Schemas['Visit'], 'newest'>>

/** The rules in the browser; undefined until they are there. */
export function useCore() {
  const [core, setCore] = useState<Core>()
  const [failed, setFailed] = useState(false)
  useEffect(() => {
    let again: ReturnType<typeof setTimeout>
    const load = () =>
      loadCore().then(
        (c) => setCore(c),
        () => {
          setFailed(true)
          again = setTimeout(load, 4000)
        },
      )
    void load()
    return () => clearTimeout(again)
  }, [])
  return { core, failed: failed && !core }
}
