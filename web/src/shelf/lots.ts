import { client } from '../api/client'

export const lotsQuery = {
  queryKey: ['lots'],
  queryFn: async ({ signal }: { signal: AbortSignal }) =>
    (await client.GET('/api/lots', { signal })).data?.lots ?? [],
  networkMode: 'always' as const,
}
