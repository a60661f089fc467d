import { useMutation, useQuery } from '@tanstack/react-query'
import { client, data, Problem, type Schemas } from '../api/client'
import { ask, queries, stale } from '../kit'

export type Run = Schemas['BenchRun']
export type Act = Schemas['BenchAct']
type Event = Omit<Schemas['BenchEvent'], 'id' | 'seq' | 'by' | 'at'>

export const benchKey = (id: string) => ['bench', id] as const

export const useBenchQuery = (id: string) =>
  useQuery(ask(benchKey(id), '/api/batches/{id}/bench', { path: { id } }))

/**
 * Writes what happens at the bench, one after another. What got no answer is sent
 * again under the same id, so that a weight counts once.
 */
export function useHappen(id: string) {
  const sending = useMutation({
    scope: { id: `bench ${id}` },
    mutationFn: (event: Schemas['BenchEvent']) =>
      data(client.POST('/api/batches/{id}/bench/events', { params: { path: { id } }, body: event })),
    onSuccess: (run) => {
      queries.setQueryData(benchKey(id), run)
      if (run.ended) stale('batches')
    },
    onError: (error) => {
      if (error instanceof Problem && error.status === 409)
        void queries.invalidateQueries({ queryKey: benchKey(id) })
    },
  })
  const refused = sending.error instanceof Problem && sending.error.status < 500 ? sending.error : undefined
  const happen = async (event: Event) => {
    try {
      return await sending.mutateAsync({ ...event, id: crypto.randomUUID() })
    } catch {
      return undefined // told below, and the event stays with the mutation
    }
  }
  return {
    happen,
    busy: sending.isPending,
    faults: refused?.faults ?? {},
    codes: refused?.codes ?? {},
    stale: refused?.status === 409,
    message:
      refused && refused.status !== 409
        ? Object.values(refused.faults).join(' ') || refused.message
        : undefined,
    /** What got no answer, to be sent again as it was. */
    unsent: sending.isError && !refused ? sending.variables : undefined,
    again: () => sending.variables && sending.mutate(sending.variables),
    forget: sending.reset,
    tried: sending.variables,
  }
}

export type Happening = ReturnType<typeof useHappen>
