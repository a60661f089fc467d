import type { Schemas } from '../api/client'
import wasm from './core.wasm?url'

/** What core answers: what came of it, or what cannot be, by its field. */
export type Answer<T> =
  { answer: T; faults?: undefined } | { answer?: undefined; faults: Record<string, string> }

interface Raw {
  dribblePlan: (request: string) => string
  dribbleDose: (request: string) => string
  stripPlan: (request: string) => string
  stripPlace: (request: string) => string
  padPlan: (request: string) => string
  lasts: (request: string) => string
}

declare global {
  var keelerCore: Raw | undefined
  var Go: new () => {
    importObject: WebAssembly.Imports
    env: Record<string, string>
    run: (instance: WebAssembly.Instance) => Promise<void>
  }
}

/** Keeler's own rules in the browser: the same Go that the server runs. */
export interface Core {
  plan: (r: Schemas['DribbleRequest']) => Answer<Schemas['DribbleAnswer']>
  dose: (r: Schemas['DoseRequest']) => Answer<Schemas['DoseAnswer']>
  place: (r: Schemas['StripPlacementRequest']) => Answer<Schemas['StripPlacementAnswer']>
  pad: (r: Schemas['PadRequest']) => Answer<Schemas['PadAnswer']>
  lasts: (left: number, expected: number[]) => Schemas['Lasting']
}

let loading: Promise<Core> | undefined

/** Loads the core once; it is asked again when that failed. */
export const loadCore = () =>
  (loading ??= load().catch((error: unknown) => {
    loading = undefined
    throw error
  }))

async function load(): Promise<Core> {
  await import('./wasm_exec.js')
  const go = new Go()
  // Its heap is a few megabytes: rather that grows than that a tap waits while it is swept.
  go.env['GOGC'] = '1000'
  const { instance } = await WebAssembly.instantiateStreaming(fetch(wasm), go.importObject)
  void go.run(instance)
  const raw = globalThis.keelerCore
  if (!raw) throw new Error('the core did not start')
  const ask =
    <Out>(work: (request: string) => string) =>
    (request: unknown) =>
      JSON.parse(work(JSON.stringify(request))) as Answer<Out>
  const lasts = ask<Schemas['Lasting']>(raw.lasts)
  return {
    plan: ask(raw.dribblePlan),
    dose: ask(raw.dribbleDose),
    place: ask(raw.stripPlace),
    pad: ask(raw.padPlan),
    lasts: (left, expected) => lasts({ left: Math.max(0, left), expected }).answer!,
  }
}
