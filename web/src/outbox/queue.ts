import type { Schemas } from '../api/client'
import { queries, stale } from '../kit'
import { forget, keep, kept } from './box'
import { TAG, workers } from '../api/names'
import { empty, next, pause, reduce, type Happening, type Waiting } from './outbox'
import { sendPhotos } from './photos'
import { sendNext } from './sendNext'

/** Of one round, or without what it goes out for of all on that day. */
export const roundKey = (job: string, day: string, act?: string) =>
  ['round', job, day, ...(act ? [act] : [])] as const

let outbox = empty
let sending = false
let again: ReturnType<typeof setTimeout> | undefined
const listeners = new Set<() => void>()
const pages = new BroadcastChannel(TAG)

/** What waits on this phone, for whoever is signed in and for those who were. */
export const waiting = () => outbox

export function subscribe(tell: () => void) {
  listeners.add(tell)
  return () => void listeners.delete(tell)
}

function happened(h: Happening) {
  outbox = reduce(outbox, h)
  listeners.forEach((tell) => tell())
}

const reread = async () => happened({ type: 'read', lines: await kept() })

/** Sends what this person left waiting, on whatever page, from now on. */
export function begin(me: string | undefined) {
  if (outbox.loaded && outbox.me === me) return
  happened({ type: 'person', me })
  addEventListener('online', send)
  pages.onmessage = () => void reread()
  workers?.addEventListener('message', onCalled)
  void reread().then(send)
}

const onCalled = ({ data }: MessageEvent) => {
  if (data === TAG) send()
}

/** One page sends at a time. */
const alone = (work: () => Promise<void>) =>
  'locks' in navigator ? navigator.locks.request(TAG, work) : work()

/** Sends what waits, in its order, until all is gone or there is no answer. */
function send() {
  if (sending || outbox.me === undefined) return
  sending = true
  clearTimeout(again)
  void alone(async () => {
    await reread()
    while (await sendNext({ outbox: waiting, happened, told }));
    const waits = (id: string) => outbox.lines.some((l) => l.id === id)
    if (outbox.me !== undefined && (await sendPhotos(outbox.me, waits))) stale('colonies')
    if (outbox.signal === 'signed_out') stale('start') // somebody else may have signed in
    pages.postMessage(TAG)
  }).finally(() => {
    sending = false
    if (next(outbox).length > 0) again = setTimeout(send, pause(outbox.failures))
  })
}

/** The round as the answer tells it. */
async function told({ job, day }: Waiting, outcome: object) {
  const key = roundKey(job, day)
  const { told } = outcome as { told?: Pick<Schemas['Sent'], 'records' | 'batches' | 'newest'> }
  if (told)
    queries.setQueriesData(
      { queryKey: key },
      (was?: Schemas['Visit']) =>
        was && { ...was, ...told, batches: was.batches.length === 0 ? was.batches : told.batches },
    )
  // Until the server's word is here, the line it corrects stays hidden by this one.
  else if ('results' in outcome) await queries.refetchQueries({ queryKey: key })
}

/**
 * What was done goes into the phone's own store first, and from there to the server in its
 * order, as soon as there is signal. The same line counts once, however often it is sent.
 */
export async function add(line: Waiting) {
  happened({ type: 'added', line })
  if (isSecureContext) void navigator.storage.persist()
  const held = !(await keep(line))
  happened({ type: 'stored', id: line.id, held })
  pages.postMessage(TAG)
  void wake()
  send()
}

/** Has the browser send what waits even when no page is open, where it can. */
async function wake() {
  const worker = await workers?.getRegistration()
  const { sync } = (worker ?? {}) as { sync?: { register: (tag: string) => Promise<void> } }
  await sync?.register(TAG).catch(() => undefined) // pages send, too
}

export async function remove(id: string) {
  happened({ type: 'dropped', id })
  await forget(id)
  pages.postMessage(TAG)
}
