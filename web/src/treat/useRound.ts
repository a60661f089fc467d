import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { workers } from '../api/names'
import { loadCore, type Core } from '../core/core'
import { roundKey } from '../outbox/queue'
import { ask, queries } from '../kit'
import { listen } from '../stream/stream'

/** ms */
const TOGETHER = 250

/** A round as it stands, told anew whenever somebody does something in it. */
export function useRound(job: string, day: string) {
  const round = useQuery({
    ...ask(roundKey(job, day), '/api/jobs/{id}/visit', { path: { id: job }, query: { day } }),
    staleTime: 10_000,
  })
  useEffect(() => {
    // Several may be quick: it is asked for once, a moment after the first of them.
    let soon: ReturnType<typeof setTimeout> | undefined
    const deaf = listen({ at: job, readings: false }, () => {
      soon ??= setTimeout(() => {
        soon = undefined
        void queries.invalidateQueries({ queryKey: roundKey(job, day) }, { cancelRefetch: false })
      }, TOGETHER)
    })
    return () => {
      clearTimeout(soon)
      deaf()
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

/** Makes this phone able to go on without signal; true once all that it needs was found there. */
export function useKeptForYard(job: string, day: string) {
  const [ready, setReady] = useState(false)
  useEffect(() => {
    if (!workers) return
    const end = new AbortController()
    void (async () => {
      await workers.register('/sw.js')
      await workers.ready
      await controlled(workers)
      const is = await found(workers, ['/api/start', `/api/jobs/${job}/visit?day=${day}`])
      if (!end.signal.aborted) setReady(is)
    })().catch(() => undefined)
    return () => end.abort()
  }, [job, day])
  return ready
}

/** Asks the worker whether page and core are there, and these answers with them. */
const found = (by: ServiceWorkerContainer, ready: string[]) =>
  new Promise<boolean>((resolve) => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = ({ data }: MessageEvent<boolean>) => resolve(data)
    by.controller!.postMessage({ ready }, [port2])
  })

const controlled = (by: ServiceWorkerContainer) =>
  new Promise<void>((resolve) => {
    if (by.controller) resolve()
    else by.addEventListener('controllerchange', () => resolve(), { once: true })
  })
