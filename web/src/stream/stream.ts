import { Hub, type Told, type Wanted } from './hub'
import type { Asked } from './shared.worker'

const listening = new Map<string, { wanted: Wanted; tell: (t: Told) => void }>()

/** All tabs of a browser share one stream where it lets them; else each has its own. */
function shared() {
  if (!('SharedWorker' in globalThis)) return undefined
  const { port } = new SharedWorker(new URL('./shared.worker.ts', import.meta.url), {
    type: 'module',
    name: 'keeler',
  })
  port.onmessage = ({ data: { id, told } }: MessageEvent<{ id: string; told: Told }>) =>
    listening.get(id)?.tell(told)
  const ask = (asked: Asked) => port.postMessage(asked)
  // A tab that is closed or put aside says so, for nobody else would, and so does one that comes back.
  addEventListener('pagehide', () => listening.forEach((_, id) => ask({ id })))
  window.addEventListener('pageshow', ({ persisted }) => {
    if (persisted) listening.forEach(({ wanted }, id) => ask({ id, wanted }))
  })
  return ask
}

let ask: ((asked: Asked) => void) | undefined
let own: Hub | undefined

/** Listens to what happens at a thing, until what it gives is called. */
export function listen(wanted: Wanted, tell: (t: Told) => void): () => void {
  const id = crypto.randomUUID()
  ask ??= shared()
  if (!ask) own ??= new Hub()
  listening.set(id, { wanted, tell })
  if (ask) ask({ id, wanted })
  else own!.listen(id, wanted, tell)
  return () => {
    listening.delete(id)
    if (ask) ask({ id })
    else own!.leave(id)
  }
}
