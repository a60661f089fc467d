import { client } from '../api/client'
import { forgetThem, unsubscribe, useSaving } from '../kit'
import { useQueue } from '../outbox/useOutbox'

/** Leaving, here or everywhere, and how many lines wait on this phone. The page begins anew: nothing of the operation stays in it. */
export function useSignOut() {
  const out = () => {
    forgetThem()
    location.reload()
  }
  return {
    waiting: useQueue().own.length,
    leaving: useSaving(async () => {
      await unsubscribe().catch(() => undefined) // a push service that is away keeps nobody here
      return client.DELETE('/api/session')
    }, out),
    everywhere: useSaving(async () => client.DELETE('/api/sessions'), out),
  }
}
