import { client, type Schemas } from '../api/client'
import { stale, useSaving } from '../kit'

/** Says why something is not done, or that it is after all. */
export const useSkip = () =>
  useSaving(
    async (body: Schemas['SkipFollowups']) => client.POST('/api/followups/skip', { body }),
    () => stale('check', 'jobs'),
  )
