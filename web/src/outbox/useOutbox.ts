import { useEffect, useMemo, useSyncExternalStore } from 'react'
import type { Schemas } from '../api/client'
import { useStart } from '../kit'
import { droppable, mine, type Application } from './outbox'
import { add, begin, remove, subscribe, waiting } from './queue'

/** What waits on this phone; it is sent as long as anything looks at it. */
export function useQueue() {
  const me = useStart().me?.who
  const outbox = useSyncExternalStore(subscribe, waiting)
  useEffect(() => begin(me), [me])
  return useMemo(() => {
    const own = outbox.me === me ? mine(outbox) : []
    return {
      own,
      refused: own.filter((l) => l.refused !== undefined),
      /** Of others who were signed in here: theirs to send. */
      others: outbox.lines.length - own.length,
      loaded: outbox.loaded && outbox.me === me,
      count: own.filter((l) => l.refused === undefined).length,
      /** Could not be put into the phone's store. */
      full: own.some((l) => l.held),
      signal: outbox.signal,
      remove,
    }
  }, [outbox, me])
}

export type Queue = ReturnType<typeof useQueue>

/** The outbox as a round sees it. */
export function useOutbox({ job_id: job, day, method, colonies }: Schemas['Visit']) {
  const by = useStart().me?.who ?? ''
  const queue = useQueue()
  const here = useMemo(
    () => queue.own.filter((l) => l.job === job && l.day === day && l.refused === undefined),
    [queue.own, job, day],
  )
  const write = (application: Application, amends?: string) => {
    const colony = colonies.find((c) => c.id === application.colony_id)
    return add({
      id: application.id,
      by,
      at: Date.now(),
      job,
      day,
      application,
      method,
      ...(colony && { name: `${colony.yard} ${colony.hive.name}` }),
      ...(amends ? { amends } : {}),
    })
  }
  /**
   * Takes a line back. Of one that was sent the server may know, answer or not: another
   * line takes that one back.
   */
  const takeBack = ({ id, colony_id }: Application) =>
    droppable(waiting(), id)
      ? remove(id)
      : write({ id: crypto.randomUUID(), colony_id, kind: 'skipped', reason: 'taken_back' }, id)
  return { ...queue, mine: here, add: write, takeBack: (r: Application) => void takeBack(r) }
}

export type Outbox = ReturnType<typeof useOutbox>
