import { MutationCache, QueryCache, QueryClient, queryOptions } from '@tanstack/react-query'
import type { paths } from '../api/schema'
import { client, data, Problem } from '../api/client'

/** The server gave no answer, or failed: it is asked again. What it refused is not. */
export const unanswered = (error: unknown) => !(error instanceof Problem && error.status < 500)

/** Who is told to sign in is asked who he is. */
const onError = (error: unknown) => {
  if (error instanceof Problem && error.status === 401) stale('start')
}

/** How everything is asked: whatever the browser thinks of the network, and until there is an answer. */
export const queries = new QueryClient({
  queryCache: new QueryCache({ onError }),
  mutationCache: new MutationCache({ onError }),
  defaultOptions: {
    queries: {
      networkMode: 'always',
      refetchOnWindowFocus: false,
      retry: (_, error) => unanswered(error),
      retryDelay: (attempt) => Math.min(500 * 2 ** attempt, 5000),
    },
    mutations: { networkMode: 'always' },
  },
})

/** What these begin with is asked for anew. */
export function stale(...keys: string[]) {
  for (const key of keys) void queries.invalidateQueries({ queryKey: [key] })
}

type Gets = { [P in keyof paths]: paths[P] extends { get: object } ? P : never }[keyof paths]
type Asked<P extends Gets> = Omit<paths[P]['get']['parameters'], 'header' | 'cookie'>
type Answer<P extends Gets> = paths[P]['get'] extends {
  responses: { 200: { content: { 'application/json': infer Body } } }
}
  ? Body
  : never

/** What is asked for at a path, kept under a key: by the first word of it several are made stale at once. */
export const ask = <P extends Gets>(queryKey: readonly unknown[], path: P, params?: Asked<P>) =>
  queryOptions({
    queryKey,
    queryFn: ({ signal }) => data(client.GET(path, { params, signal } as never)) as Promise<Answer<P>>,
  })

export const yardsQuery = queryOptions({ ...ask(['yards'], '/api/yards'), select: ({ yards }) => yards })

/** A yard with its colonies in stand order. */
export const yardQuery = (id: string) => ask(['yards', id], '/api/yards/{id}', { path: { id } })

/** A colony with its history. */
export const colonyQuery = (id: string) => ask(['colonies', id], '/api/colonies/{id}', { path: { id } })

/** What there is to do; stale with what there is to come back for. */
export const todayQuery = (first: boolean) =>
  ask(['check', 'today', { first }], '/api/today', { query: { first } })

export const cardsQuery = ask(['cards'], '/api/cards')

export const jobsQuery = queryOptions({ ...ask(['jobs'], '/api/jobs'), select: ({ jobs }) => jobs })

export const batchesQuery = queryOptions({
  ...ask(['batches'], '/api/batches'),
  select: ({ batches }) => batches,
})

export const lotsQuery = queryOptions({ ...ask(['lots'], '/api/lots'), select: ({ lots }) => lots })

export const labelQuery = (id: string) =>
  ask(['batches', id, 'label'], '/api/batches/{id}/label', { path: { id } })
