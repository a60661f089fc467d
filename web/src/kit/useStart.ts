import { queryOptions, useQuery } from '@tanstack/react-query'
import { client, data, type Schemas } from '../api/client'
import { queries } from './queries'
import { arrived } from './who'

export type Start = Schemas['Start']
export type Role = Schemas['Me']['role']

const ranks: Role[] = ['viewer', 'helper', 'keeper', 'owner']

/** Whether a role may do what the least one may. */
export const may = (role: Role | undefined, least: Role) =>
  role !== undefined && ranks.indexOf(role) >= ranks.indexOf(least)

/** What the page began with: the clock of the work, and who is signed in. */
export const useStartQuery = () => useQuery(startQuery)

const startQuery = queryOptions({
  queryKey: ['start'],
  queryFn: async ({ signal }) => arrived(await data(client.GET('/api/start', { signal }))),
  staleTime: Infinity,
})

/** The same where it is known to be there. */
export function useStart(): Start {
  const { data } = useStartQuery()
  if (!data) throw new Error('the page has not begun')
  return data
}

/** Puts another person into the page; what the one before had loaded, or has still asked for, is forgotten. */
export function enter(start: Start) {
  void queries.cancelQueries({ queryKey: ['start'] }) // its answer would tell of the one before
  queries.removeQueries({ predicate: (q) => q.queryKey[0] !== 'start' })
  queries.setQueryData(['start'], arrived(start))
}
