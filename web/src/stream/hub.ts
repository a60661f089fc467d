import type { Schemas } from '../api/client'

/** What is told: that it is listened to from now on, that something happened at a thing, or what an instrument shows. */
export type Told = { open: true } | { changed: string } | { reading: Schemas['Reading'] }

/** What somebody wants to be told of. */
export interface Wanted {
  at: string
  readings: boolean
}

/** ms: until a stream that the server has ended is tried again. */
const AGAIN = 15_000

/**
 * One stream for all who listen, over one connection: a browser has six to a server, and
 * each tab would take one for itself. It is opened anew when what is wanted changes.
 */
export class Hub {
  private readonly wanted = new Map<string, Wanted & { tell: (t: Told) => void }>()
  private stream: EventSource | undefined
  private of = ''
  private again: ReturnType<typeof setTimeout> | undefined

  listen(id: string, wanted: Wanted, tell: (t: Told) => void) {
    this.wanted.set(id, { ...wanted, tell })
    // Who comes to a stream that is open already learns what he missed, too.
    if (!this.settle()) tell({ open: true })
  }

  leave(id: string) {
    this.wanted.delete(id)
    this.settle()
  }

  private tell(t: Told, to: (w: Wanted) => boolean) {
    for (const w of this.wanted.values()) if (to(w)) w.tell(t)
  }

  /** Listens to what is wanted; true when that is another stream than before. */
  private settle(): boolean {
    const at = [...new Set([...this.wanted.values()].map((w) => w.at))].sort().join(',')
    const readings = [...this.wanted.values()].some((w) => w.readings)
    const of = at && `/api/stream?at=${at}${readings ? '&readings=true' : ''}`
    if (of === this.of) return false
    this.of = of
    this.connect()
    return true
  }

  private connect() {
    this.stream?.close()
    clearTimeout(this.again)
    this.stream = undefined
    if (!this.of) return
    const stream = new EventSource(this.of)
    this.stream = stream
    stream.addEventListener('open', () => this.tell({ open: true }, () => true))
    stream.addEventListener('changed', ({ data }: MessageEvent<string>) => {
      this.tell({ changed: data }, (w) => w.at === data)
    })
    stream.addEventListener('reading', ({ data }: MessageEvent<string>) => {
      this.tell({ reading: JSON.parse(data) as Schemas['Reading'] }, (w) => w.readings)
    })
    stream.addEventListener('error', () => {
      // One that was refused is not tried again by itself.
      if (stream.readyState === EventSource.CLOSED) this.again = setTimeout(() => this.connect(), AGAIN)
    })
  }
}
