import { queryOptions } from '@tanstack/react-query'
import { client } from '../api/client'

/** A yard with its colonies in stand order. */
export const yardQuery = (id: string) =>
  queryOptions({
    queryKey: ['yards', id],
    queryFn: async ({ signal }) =>
      (await client.GET('/api/yards/{id}', { params: { path: { id } }, signal })).data,
    networkMode: 'always',
  })

/** A colony with its history. */
export const colonyQuery = (id: string) =>
  queryOptions({
    queryKey: ['colonies', id],
    queryFn: async ({ signal }) =>
      (await client.GET('/api/colonies/{id}', { params: { path: { id } }, signal })).data,
    networkMode: 'always',
  })

export const yardsQuery = {
  queryKey: ['yards'],
  queryFn: async ({ signal }: { signal: AbortSignal }) =>
    (await client.GET('/api/yards', { signal })).data?.yards ?? [],
  networkMode: 'always' as const,
}
