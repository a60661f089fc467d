import type { Schemas } from '../api/client'
import { useStart } from '../kit'
import { droppable } from './outbox'
import { add, remove, waiting } from './queue'

/** Counts that are taken without signal, too: they wait on the phone as lines of a round do. */
export function useCounting() {
  const by = useStart().me?.who ?? ''
  return {
    write: (count: Schemas['MiteCount'], name: string) =>
      add({ id: count.id, by, at: Date.now(), job: '', day: count.on ?? '', count, name }),
    /** Only what never left the phone; what was sent is voided at its hive. */
    takeBack: (id: string) => {
      if (!droppable(waiting(), id)) return false
      void remove(id)
      return true
    },
  }
}
