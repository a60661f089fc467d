import { useMutation } from '@tanstack/react-query'
import { Problem } from '../api/client'
import { text } from './text'

/** Sends something to be kept, and tells what became of it. */
export function useSaving<In, Out>(send: (what: In) => Promise<Out>, done?: (out: Out) => void) {
  const mutation = useMutation({ mutationFn: send, onSuccess: done })
  const refused =
    mutation.error instanceof Problem && mutation.error.status < 500 ? mutation.error : undefined
  return {
    save: mutation.mutate,
    busy: mutation.isPending,
    /** When it was sent last. */
    at: mutation.submittedAt,
    done: mutation.isSuccess,
    /** What came of it. */
    out: mutation.data,
    /** By the path of the field. */
    faults: refused?.faults ?? {},
    /** Why, by the path of the field. */
    codes: refused?.codes ?? {},
    /** What was sent, to be sent again as it is. */
    tried: mutation.variables,
    /** Somebody else was faster. */
    stale: refused?.status === 409,
    message: mutation.isError
      ? (refused && (Object.values(refused.faults).join(' ') || refused.message)) || text.lost
      : undefined,
    reset: mutation.reset,
  }
}
