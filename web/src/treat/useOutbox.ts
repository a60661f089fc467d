import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { client, Problem, type Schemas } from '../api/client'
import { drop, put, waiting, type Application, type Waiting } from './outbox'

export type Signal = 'sent' | 'sending' | 'offline' | 'signed_out'

const AGAIN = 4000

export const roundKey = (job: string, day: string) => ['round', job, day] as const

/**
 * What was done goes into the phone's own store first, and from there to the
 * server in its order, as soon as there is signal. The same line counts once,
 * however often it is sent.
 */
export function useOutbox(job: string, day: string) {
  const queries = useQueryClient()
  const [items, setItems] = useState<Waiting[]>()
  const [signal, setSignal] = useState<Signal>('sent')
  const [held, setHeld] = useState<Waiting[]>([])
  const heldNow = useRef(held)
  useEffect(() => {
    heldNow.current = held
  })
  const sending = useRef(false)
  const tried = useRef(new Set<string>())
  const dropped = useRef(new Set<string>())

  const refresh = useCallback(async () => {
    const all = await waiting().catch(() => [])
    setItems(all)
    return all
  }, [])

  const send = useCallback(async () => {
    if (sending.current) return
    sending.current = true
    try {
      for (;;) {
        const next = [...(await refresh()), ...heldNow.current].filter(
          (w) => !w.refused && !dropped.current.has(w.id),
        )
        // A line goes before the one that takes it back, whatever the phone's clock did.
        const first = next.find((w) => !next.some((o) => o.id === w.amends))
        if (!first) {
          setSignal('sent')
          return
        }
        setSignal('sending')
        const group = first.amends
          ? [first]
          : next.filter((w) => !w.amends && w.job === first.job && w.day === first.day)
        const fresh = group.filter((w) => !w.tried && !tried.current.has(w.id))
        fresh.forEach((w) => tried.current.add(w.id))
        await Promise.all(
          fresh
            .filter((w) => !heldNow.current.includes(w))
            .map((w) => put({ ...w, tried: true }).catch(() => undefined)),
        )
        const settled = await (first.amends ? sendAmendment(first) : sendGroup(first, group))
        if (settled.told)
          queries.setQueryData(
            roundKey(first.job, first.day),
            (was?: Schemas['RoundDay']) =>
              was && { ...was, ...settled.told, batches: was.out ? was.batches : settled.told!.batches },
          )
        // Until the server's word is here, the line it corrects stays hidden by this one.
        else await queries.refetchQueries({ queryKey: roundKey(first.job, first.day) })
        for (const r of settled.results) {
          if (r.state !== 'refused') await drop(r.id).catch(() => undefined)
          else {
            const w = group.find((g) => g.id === r.id)
            if (w) await put({ ...w, refused: r.text ?? '' }).catch(() => undefined)
          }
          setHeld((h) => h.filter((w) => w.id !== r.id))
          heldNow.current = heldNow.current.filter((w) => w.id !== r.id)
        }
      }
    } catch (error) {
      const out = error instanceof Problem && (error.status === 401 || error.status === 403)
      setSignal(out ? 'signed_out' : 'offline')
    } finally {
      sending.current = false
    }
  }, [queries, refresh])

  useEffect(() => {
    const now = () => void send()
    now()
    const again = setInterval(now, AGAIN)
    addEventListener('online', now)
    return () => {
      clearInterval(again)
      removeEventListener('online', now)
    }
  }, [send])

  const all = useMemo(() => [...(items ?? []), ...held], [items, held])
  const add = async (application: Application, amends?: string) => {
    const w: Waiting = {
      id: application.id,
      at: Date.now(),
      job,
      day,
      application,
      ...(amends ? { amends } : {}),
    }
    try {
      await put(w)
    } catch {
      setHeld((h) => [...h, w])
      heldNow.current = [...heldNow.current, w]
    }
    await refresh()
    void send()
  }
  const remove = async (id: string) => {
    dropped.current.add(id)
    await drop(id)
    setHeld((h) => h.filter((w) => w.id !== id))
    await refresh()
  }
  /**
   * Takes a line back: one that never left the phone is dropped. Of one that was sent the
   * server may know, answer or not: another line takes that one back.
   */
  const takeBack = (r: Application) => {
    const waits = all.find((w) => w.id === r.id)
    if (waits && !waits.tried && !tried.current.has(r.id)) void remove(r.id)
    else
      void add(
        { id: crypto.randomUUID(), colony_id: r.colony_id, kind: 'skipped', reason: 'taken_back' },
        r.id,
      )
  }
  const mine = useMemo(() => all.filter((w) => w.job === job && w.day === day && !w.refused), [all, job, day])
  return {
    mine,
    refused: all.filter((w) => w.refused !== undefined),
    /** What the phone had kept from before is known. */
    loaded: items !== undefined,
    count: all.filter((w) => !w.refused).length,
    /** Could not be put into the phone's store. */
    full: held.length > 0,
    signal,
    add,
    remove,
    takeBack,
    send,
  }
}

export type Outbox = ReturnType<typeof useOutbox>

/** How long ago it happened by this phone's own clock, and what that clock said. */
const timed = (w: Waiting): Application => ({
  ...w.application,
  ago_s: Math.max(0, (Date.now() - w.at) / 1000),
  phone_at: new Date(w.at).toISOString(),
})

interface Settled {
  results: Schemas['Applied'][]
  /** What of the round changes by it. */
  told?: Pick<Schemas['Sent'], 'records' | 'batches'>
}

async function sendGroup(first: Waiting, group: Waiting[]): Promise<Settled> {
  const sent = await client.POST('/api/jobs/{id}/applications', {
    params: { path: { id: first.job }, query: { day: first.day } },
    body: { applications: group.map(timed) },
  })
  const { results, ...told } = sent.data!
  return { results, told }
}

async function sendAmendment(w: Waiting): Promise<Settled> {
  try {
    await client.POST('/api/register/{id}/amend', { params: { path: { id: w.amends! } }, body: timed(w) })
    return { results: [{ id: w.id, state: 'saved' }] }
  } catch (error) {
    if (!(error instanceof Problem) || error.status >= 500 || error.status === 401 || error.status === 403)
      throw error
    const text = Object.values(error.faults).join(' ') || error.message
    return { results: [{ id: w.id, state: 'refused', text }] }
  }
}
