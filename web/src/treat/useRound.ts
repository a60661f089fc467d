import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { keepCore, loadCore, type Core } from '../core/core'
import { roundKey } from '../outbox/useOutbox'
import { ask, queries } from '../kit'

/** ms */
const TOGETHER = 250

/** A round as it stands, told anew whenever somebody does something in it. */
export function useRound(job: string, day: string) {
  const round = useQuery({
    ...ask(roundKey(job, day), '/api/jobs/{id}/visit', { path: { id: job }, query: { day } }),
    staleTime: 10_000,
  })
  useEffect(() => {
    const stream = new EventSource(`/api/jobs/${job}/stream`)
    // Several may be quick: it is asked for once, a moment after the first of them.
    let soon: ReturnType<typeof setTimeout> | undefined
    stream.addEventListener('changed', () => {
      soon ??= setTimeout(() => {
        soon = undefined
        void queries.invalidateQueries({ queryKey: roundKey(job, day) }, { cancelRefetch: false })
      }, TOGETHER)
    })
    return () => {
      clearTimeout(soon)
      stream.close()
    }
  }, [job, day])
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

/** Makes this phone able to go on without signal; true once all that it needs is kept. */
export function useKeptForYard(job: string, day: string) {
  const [ready, setReady] = useState(false)
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return
    const end = new AbortController()
    void (async () => {
      await navigator.serviceWorker.register('/sw.js')
      await navigator.serviceWorker.ready
      await controlled()
      // What was loaded before the worker was there is asked for once more, through it.
      const round = `/api/jobs/${job}/visit?day=${day}`
      await Promise.all([keepCore(), fetch(round), fetch('/api/start')])
      if (!end.signal.aborted) setReady(true)
    })().catch(() => undefined)
    return () => end.abort()
  }, [job, day])
  return ready
}

const controlled = () =>
  new Promise<void>((resolve) => {
    if (navigator.serviceWorker.controller) resolve()
    else navigator.serviceWorker.addEventListener('controllerchange', () => resolve(), { once: true })
  })
