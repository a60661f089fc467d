import { useMemo, useSyncExternalStore } from 'react'
import type { Schemas } from '../api/client'
import { queries } from '../kit'
import { forget, keep, kept } from './box'
import { deliver } from './deliver'
import {
  droppable,
  empty,
  next,
  pause,
  reduce,
  type Application,
  type Happening,
  type Waiting,
} from './outbox'

export const roundKey = (job: string, day: string) => ['round', job, day] as const

let outbox = empty
const listeners = new Set<() => void>()
let sending = false
let again: ReturnType<typeof setTimeout> | undefined

function happened(h: Happening) {
  outbox = reduce(outbox, h)
  listeners.forEach((tell) => tell())
}

function subscribe(tell: () => void) {
  listeners.add(tell)
  if (listeners.size === 1) {
    addEventListener('online', send)
    void kept().then((lines) => {
      happened({ type: 'read', lines })
      send()
    })
  }
  return () => {
    listeners.delete(tell)
    if (listeners.size > 0) return
    removeEventListener('online', send)
    clearTimeout(again)
  }
}

/** Sends what waits, in its order, until all is gone or there is no answer. */
function send() {
  if (sending) return
  sending = true
  clearTimeout(again)
  void (async () => {
    while (await sendNext());
    sending = false
    if (next(outbox).length > 0 && listeners.size > 0) again = setTimeout(send, pause(outbox.failures))
  })()
}

/** Sends one group; false when none is left or nothing is known of it. */
async function sendNext(): Promise<boolean> {
  const group = next(outbox)
  const [first] = group
  if (!first) return false
  const ids = group.map((l) => l.id)
  const fresh = group.filter((l) => !l.tried && !l.held)
  happened({ type: 'sending', ids })
  await Promise.all(fresh.map((l) => keep({ ...l, tried: true })))
  const outcome = await deliver(group)
  if ('lost' in outcome) {
    happened({ type: 'lost', signal: outcome.lost })
    return false
  }
  const key = roundKey(first.job, first.day)
  if ('refused' in outcome) happened({ type: 'refused', ids, why: outcome.refused })
  else {
    const { results, told } = outcome
    if (told)
      queries.setQueryData(
        key,
        (was?: Schemas['Visit']) => was && { ...was, ...told, batches: was.out ? was.batches : told.batches },
      )
    // Until the server's word is here, the line it corrects stays hidden by this one.
    else await queries.refetchQueries({ queryKey: key })
    happened({ type: 'answered', results })
  }
  const left = new Map(outbox.lines.map((l) => [l.id, l]))
  await Promise.all(ids.map((id) => (left.has(id) ? keep(left.get(id)!) : forget(id))))
  return true
}

/**
 * What was done goes into the phone's own store first, and from there to the server in its
 * order, as soon as there is signal. The same line counts once, however often it is sent.
 */
async function add(line: Waiting) {
  happened({ type: 'added', line })
  if (!(await keep(line))) happened({ type: 'held', id: line.id })
  send()
}

async function remove(id: string) {
  happened({ type: 'dropped', id })
  await forget(id)
}

/** The outbox as a round sees it. */
export function useOutbox(job: string, day: string) {
  const { lines, loaded, signal } = useSyncExternalStore(subscribe, () => outbox)
  const mine = useMemo(
    () => lines.filter((l) => l.job === job && l.day === day && l.refused === undefined),
    [lines, job, day],
  )
  const write = (application: Application, amends?: string) =>
    add({ id: application.id, at: Date.now(), job, day, application, ...(amends ? { amends } : {}) })
  /**
   * Takes a line back. Of one that was sent the server may know, answer or not: another
   * line takes that one back.
   */
  const takeBack = ({ id, colony_id }: Application) =>
    droppable(outbox, id)
      ? remove(id)
      : write({ id: crypto.randomUUID(), colony_id, kind: 'skipped', reason: 'taken_back' }, id)
  return {
    mine,
    refused: lines.filter((l) => l.refused !== undefined),
    loaded,
    count: lines.filter((l) => l.refused === undefined).length,
    /** Could not be put into the phone's store. */
    full: lines.some((l) => l.held),
    signal,
    add: write,
    remove,
    takeBack: (r: Application) => void takeBack(r),
  }
}

export type Outbox = ReturnType<typeof useOutbox>
