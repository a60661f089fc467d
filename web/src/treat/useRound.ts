import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { loadCore, type Core } from '../core/core'
import { roundKey } from '../outbox/queue'
import { ask, queries } from '../kit'
import { listen } from '../stream/stream'

/** ms */
const TOGETHER = 250

/** A round as it stands, told anew whenever somebody does something in it. */
export function useRound(job: string, day: string, act: string | undefined) {
  const round = useQuery({
    ...ask(roundKey(job, day, act), '/api/jobs/{id}/visit', {
      path: { id: job },
      query: { day, ...(act && { act }) },
    }),
    staleTime: 10_000,
  })
  useEffect(() => {
    // Several may be quick: it is asked for once, a moment after the first of them.
    let soon: ReturnType<typeof setTimeout> | undefined
    const deaf = listen({ at: job, readings: false }, () => {
      soon ??= setTimeout(() => {
        soon = undefined
        void queries.invalidateQueries({ queryKey: roundKey(job, day, act) }, { cancelRefetch: false })
      }, TOGETHER)
    })
    return () => {
      clearTimeout(soon)
      deaf()
    }
  }, [job, day, act])
  return round
}

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
