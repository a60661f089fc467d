import { QueryClient, queryOptions } from '@tanstack/react-query'
import { client, data, Problem } from '../api/client'

/** The server gave no answer, or failed: it is asked again. What it refused is not. */
export const unanswered = (error: unknown) => !(error instanceof Problem && error.status < 500)

/** How everything is asked: whatever the browser thinks of the network, and until there is an answer. */
export const queries = new QueryClient({
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

export const yardsQuery = queryOptions({
  queryKey: ['yards'],
  queryFn: ({ signal }) => data(client.GET('/api/yards', { signal })),
  select: ({ yards }) => yards,
})

/** A yard with its colonies in stand order. */
export const yardQuery = (id: string) =>
  queryOptions({
    queryKey: ['yards', id],
    queryFn: ({ signal }) => data(client.GET('/api/yards/{id}', { params: { path: { id } }, signal })),
  })

/** A colony with its history. */
export const colonyQuery = (id: string) =>
  queryOptions({
    queryKey: ['colonies', id],
    queryFn: ({ signal }) => data(client.GET('/api/colonies/{id}', { params: { path: { id } }, signal })),
  })

export const cardsQuery = queryOptions({
  queryKey: ['cards'],
  queryFn: ({ signal }) => data(client.GET('/api/cards', { signal })),
})

export const jobsQuery = queryOptions({
  queryKey: ['jobs'],
  queryFn: ({ signal }) => data(client.GET('/api/jobs', { signal })),
  select: ({ jobs }) => jobs,
})

export const batchesQuery = queryOptions({
  queryKey: ['batches'],
  queryFn: ({ signal }) => data(client.GET('/api/batches', { signal })),
  select: ({ batches }) => batches,
})

export const lotsQuery = queryOptions({
  queryKey: ['lots'],
  queryFn: ({ signal }) => data(client.GET('/api/lots', { signal })),
  select: ({ lots }) => lots,
})

export const labelQuery = (id: string) =>
  queryOptions({
    queryKey: ['batches', id, 'label'],
    queryFn: ({ signal }) =>
      data(client.GET('/api/batches/{id}/label', { params: { path: { id } }, signal })),
  })
