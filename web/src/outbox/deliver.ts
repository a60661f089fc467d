import { client, data, FOR_WHOM, Problem, type Schemas } from '../api/client'
import type { Application, Waiting } from './outbox'

/** What became of a group: told line by line, refused as a whole, or nothing is known. */
export type Outcome =
  | { results: Schemas['Applied'][]; told?: Pick<Schemas['Sent'], 'records' | 'batches' | 'newest'> }
  | { refused: string }
  | { lost: 'offline' | 'signed_out' }

/** Not an answer about what was sent: it came too late, or too much at once. */
const LATER = [408, 425, 429]

/** Sends a group of one round, or one line that corrects another, in the name of who did it. */
export async function deliver(group: readonly Waiting[]): Promise<Outcome> {
  const [first] = group as [Waiting]
  const headers = { [FOR_WHOM]: first.by }
  try {
    if (first.count) {
      const counts = group.flatMap((l) => l.count ?? [])
      await data(client.POST('/api/counts', { headers, body: { counts } }))
      return { results: group.map(({ id }) => ({ id, state: 'saved' })) }
    }
    if (first.amends) {
      const params = { path: { id: first.amends } }
      await data(client.POST('/api/register/{id}/amend', { headers, params, body: timed(first) }))
      return { results: [{ id: first.id, state: 'saved' }] }
    }
    const params = { path: { id: first.job }, query: { day: first.day } }
    const body = { applications: group.map(timed) }
    const { results, ...told } = await data(
      client.POST('/api/jobs/{id}/applications', { headers, params, body }),
    )
    return { results, told }
  } catch (error) {
    if (!(error instanceof Problem) || error.status >= 500 || LATER.includes(error.status))
      return { lost: 'offline' }
    if (error.status === 401) return { lost: 'signed_out' }
    return { refused: Object.values(error.faults).join(' ') || error.message }
  }
}

/** How long ago it happened by this phone's own clock, and what that clock said. */
const timed = (l: Waiting): Application => ({
  ...(l.application as Application),
  ago_s: (Date.now() - l.at) / 1000,
  phone_at: new Date(l.at).toISOString(),
})
