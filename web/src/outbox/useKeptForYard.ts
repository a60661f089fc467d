import { useEffect, useState } from 'react'
import { workers } from '../api/names'

/** ms: for how long an answer is waited for, and until it is asked again. */
const PATIENCE = 15_000
const AGAIN = 3000

/** Makes this phone able to go on without signal; true once all that it needs was found there. */
export function useKeptForYard(answers: string[]) {
  const [ready, setReady] = useState(false)
  const key = answers.join(' ')
  useEffect(() => {
    if (!workers) return
    const worker = workers
    const end = new AbortController()
    let turn = 0
    let again: ReturnType<typeof setTimeout> | undefined
    const ask = async () => {
      await worker.register('/sw.js')
      await worker.ready
      await controlled(worker)
      return found(worker, ['/api/start', ...key.split(' ')])
    }
    // What could not be fetched, or was asked of a worker that is replaced and never answers, is
    // asked again.
    const look = async () => {
      clearTimeout(again)
      const mine = ++turn
      const is = await Promise.race([ask(), late()]).catch(() => false)
      if (end.signal.aborted || mine !== turn) return
      setReady(is)
      if (!is) again = setTimeout(() => void look(), AGAIN)
    }
    void look()
    worker.addEventListener('controllerchange', () => void look(), { signal: end.signal })
    return () => {
      end.abort()
      clearTimeout(again)
    }
  }, [key])
  return ready
}

const late = () => new Promise<boolean>((resolve) => setTimeout(() => resolve(false), PATIENCE))

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
