import { client } from '../api/client'

export const labelQuery = (id: string) => ({
  queryKey: ['batches', id, 'label'],
  queryFn: async ({ signal }: { signal: AbortSignal }) =>
    (await client.GET('/api/batches/{id}/label', { params: { path: { id } }, signal })).data,
  networkMode: 'always' as const,
})
