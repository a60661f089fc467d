import { keepPreviousData, replaceEqualDeep, useQuery } from '@tanstack/react-query'
import { useRef } from 'react'
import { Problem } from '../api/client'
import type { Method } from './kind'
import { type Reading } from '../kit'

/** What the Mix screen knows of the plan at hand. */
export interface Asked<Answer> {
  /** Undefined while a figure cannot be: no old figure stands beside a new input. */
  answer: Answer | undefined
  /** The answer to the newest input is still on its way. */
  busy: boolean
  faults: Record<string, string>
  /** Why, as codes, by the same fields. */
  codes: Record<string, string>
  /** The server cannot be reached or failed. */
  lost: boolean
}

const NONE: Record<string, string> = {}

/** Asks the server for the plan of the newest input; older answers are dropped. */
export function useAnswer<Request, Answer>(
  method: Method,
  { request, faults }: Reading<Request>,
  work: (request: Request, signal: AbortSignal) => Promise<{ data?: Answer }>,
): Asked<Answer> {
  const last = useRef<Answer>(undefined)
  const readable = Object.keys(faults).length === 0
  const query = useQuery({
    queryKey: ['plan', method, request],
    queryFn: async ({ signal }) => {
      const { data } = await work(request, signal)
      // What did not change keeps its identity, so that its drawing is left alone.
      last.current = replaceEqualDeep(last.current, data)
      return last.current
    },
    enabled: readable,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  })
  const refused = query.error instanceof Problem ? query.error : undefined
  const lost =
    query.failureReason !== null &&
    !(query.failureReason instanceof Problem && query.failureReason.status < 500)
  return {
    answer: readable && !query.isError && !lost ? query.data : undefined,
    busy: query.isPlaceholderData,
    faults: readable ? (refused?.faults ?? NONE) : faults,
    codes: readable ? (refused?.codes ?? NONE) : NONE,
    lost,
  }
}
