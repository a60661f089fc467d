import { useQuery, type UseQueryOptions } from '@tanstack/react-query'
import type { Schemas } from '../api/client'

type Parts = { so_far?: Schemas['SoFar'] }

/**
 * What is shown first of many yards or jobs, and then all of them. With keep, what was asked for before
 * stays until all that is asked for now is there: until then it is behind.
 */
export function useShownFirst<Answer extends Parts>(
  ask: (first: boolean) => UseQueryOptions<Answer>,
  { enabled = true, keep = false } = {},
) {
  const options = { placeholderData: (before?: Answer) => (keep ? before : undefined) }
  const first = useQuery<Answer>({ ...ask(true), enabled, ...options } as UseQueryOptions<Answer>)
  const more = first.data?.so_far !== undefined
  const whole = useQuery<Answer>({
    ...ask(false),
    enabled: enabled && more,
    ...options,
  } as UseQueryOptions<Answer>)
  const behind = more ? whole.isPlaceholderData : first.isPlaceholderData
  return { data: (more ? whole.data : undefined) ?? first.data, query: first, behind }
}
