import { useEffect, useState } from 'react'
import { workers } from '../api/names'

/** Makes this phone able to go on without signal; true once all that it needs was found there. */
export function useKeptForYard(answers: string[]) {
  const [ready, setReady] = useState(false)
  const key = answers.join(' ')
  useEffect(() => {
    if (!workers) return
    const worker = workers
    const end = new AbortController()
    const ask = async () => {
      await worker.register('/sw.js')
      await worker.ready
      await controlled(worker)
      const is = await found(worker, ['/api/start', ...key.split(' ')])
      if (!end.signal.aborted) setReady(is)
    }
    const look = () => void ask().catch(() => undefined)
    look()
    // A worker that is replaced while it is asked never answers: the new one is asked.
    worker.addEventListener('controllerchange', look, { signal: end.signal })
    return () => end.abort()
  }, [key])
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
