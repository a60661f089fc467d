import { kept } from './box'
import { empty, reduce, type Outbox } from './outbox'
import { sendNext } from './sendNext'

/**
 * Sends what waits of everybody, each in his own name: the server takes only what is of
 * who is signed in. It fails when there is no answer, so that the browser tries again.
 */
export async function sendAll() {
  let outbox: Outbox = reduce(empty, { type: 'read', lines: await kept() })
  for (const me of new Set(outbox.lines.map((l) => l.by))) {
    outbox = reduce(outbox, { type: 'person', me })
    const sender = {
      outbox: () => outbox,
      happened: (h: Parameters<typeof reduce>[1]) => void (outbox = reduce(outbox, h)),
    }
    while (await sendNext(sender));
    if (outbox.signal === 'offline') throw new Error('no answer')
  }
}
