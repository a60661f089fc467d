import { useQuery } from '@tanstack/react-query'
import { useEffect, useState, useSyncExternalStore } from 'react'
import { client, type Schemas } from '../api/client'
import { benchKey } from './useBench'
import { ask, queries } from '../kit'
import { listen } from '../stream/stream'

export type Instrument = Schemas['Instrument']
export type Reading = Schemas['Reading']

/** What the instruments show, outside of React: twenty times a second only the figure itself is drawn. */
export class Readings {
  private last = new Map<string, Reading>()
  private listeners = new Set<() => void>()
  show(r: Reading) {
    this.last.set(r.instrument, r)
    this.listeners.forEach((l) => l())
  }
  of = (id: string) => this.last.get(id)
  listen = (l: () => void) => {
    this.listeners.add(l)
    return () => void this.listeners.delete(l)
  }
}

export const useReading = (readings: Readings, id: string | undefined) =>
  useSyncExternalStore(readings.listen, () => (id === undefined ? undefined : readings.of(id)))

/** Listens to a batch's bench: what happens there asks for it anew, what the instruments show goes to readings. */
export function useStream(batch: string) {
  const [readings] = useState(() => new Readings())
  const instruments = useQuery(ask(['instruments'], '/api/instruments'))
  useEffect(() => {
    const again = (key: readonly string[]) => void queries.invalidateQueries({ queryKey: key })
    return listen({ at: batch, readings: true }, (told) => {
      if ('reading' in told) {
        const r = told.reading
        if ((r.state === 'lost') !== (readings.of(r.instrument)?.state === 'lost')) again(['instruments'])
        readings.show(r)
        return
      }
      again(benchKey(batch))
      if ('open' in told) again(['instruments'])
    })
  }, [batch, readings])
  return { readings, instruments: instruments.data?.instruments ?? [] }
}

export const send = (body: Schemas['Command']) =>
  void client.POST('/api/instruments', { body }).catch(() => undefined)
