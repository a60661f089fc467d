import { forget, keep } from './box'
import { deliver, type Outcome } from './deliver'
import { next, type Happening, type Outbox, type Waiting } from './outbox'

/** What a queue is to whoever sends it: a page, or the browser's own worker. */
export interface Sender {
  outbox: () => Outbox
  happened: (h: Happening) => void
  /** Before the lines that it is about are let go. */
  told?: (first: Waiting, outcome: Outcome) => Promise<void>
}

/** Sends one group; false when none is left or nothing is known of it. */
export async function sendNext({ outbox, happened, told }: Sender): Promise<boolean> {
  const group = next(outbox())
  const [first] = group
  if (!first) return false
  const ids = group.map((l) => l.id)
  const untried = group.filter((l) => !l.tried && !l.held)
  happened({ type: 'sending', ids })
  await Promise.all(untried.map((l) => keep({ ...l, tried: true })))
  const outcome = await deliver(group)
  if ('lost' in outcome) {
    happened({ type: 'lost', signal: outcome.lost })
    return false
  }
  await told?.(first, outcome)
  happened(
    'refused' in outcome
      ? { type: 'refused', ids, why: outcome.refused }
      : { type: 'answered', results: outcome.results },
  )
  const left = new Map(outbox().lines.map((l) => [l.id, l]))
  await Promise.all(ids.map((id) => (left.has(id) ? keep(left.get(id)!) : forget(id))))
  return true
}
