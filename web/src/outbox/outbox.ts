import type { Schemas } from '../api/client'

export type Application = Schemas['Application']

/** What waits on this phone until there is signal: something done in a round, or a count of mites. */
export interface Waiting {
  id: string
  /** Who did it, in which operation: it is sent in that name and in no other. */
  by: string
  /** The order in which it happened, ms. */
  at: number
  /** Empty for a count. */
  job: string
  day: string
  /** The line that it corrects. */
  amends?: string
  application?: Application
  count?: Schemas['MiteCount']
  /** The hive, as people call it, and what it is treated by. */
  name?: string
  method?: Schemas['Visit']['method']
  /** It was sent once: whether the server has it is not known until it answers. */
  tried?: boolean
  /** Why it could not be kept; it then waits for the keeper. */
  refused?: string
  /** The phone's store did not take it. */
  held?: boolean
  /** The phone's store has not said yet that it has it. */
  fresh?: boolean
  /** It was in a group that was refused as a whole: it goes by itself, to find the one that is bad. */
  alone?: boolean
}

export type Signal = 'sent' | 'sending' | 'offline' | 'signed_out'

export interface Outbox {
  /** Who is signed in; nobody's lines are sent while nobody is. */
  me?: string | undefined
  lines: readonly Waiting[]
  /** What the phone had kept from before is known. */
  loaded: boolean
  signal: Signal
  /** How often in a row there was no answer. */
  failures: number
}

export const empty: Outbox = { lines: [], loaded: false, signal: 'sent', failures: 0 }

export type Happening =
  | { type: 'person'; me: string | undefined }
  | { type: 'read'; lines: readonly Waiting[] }
  | { type: 'added'; line: Waiting }
  | { type: 'stored'; id: string; held: boolean }
  | { type: 'sending'; ids: readonly string[] }
  | { type: 'answered'; results: readonly Schemas['Applied'][] }
  | { type: 'refused'; ids: readonly string[]; why: string }
  | { type: 'lost'; signal: 'offline' | 'signed_out' }
  | { type: 'dropped'; id: string }

/** The outbox after something happened. */
export function reduce(o: Outbox, h: Happening): Outbox {
  const marked = (ids: readonly string[], as: Partial<Waiting>) =>
    o.lines.map((l) => (ids.includes(l.id) ? { ...l, ...as } : l))
  switch (h.type) {
    case 'person':
      return { ...o, me: h.me, signal: 'sent', failures: 0 }
    case 'read': // what is not in the store any more was sent by another page
      return {
        ...o,
        loaded: true,
        lines: [...h.lines, ...o.lines.filter((l) => (l.fresh || l.held) && !has(h.lines, l.id))],
      }
    case 'added':
      return { ...o, lines: [...o.lines, { ...h.line, fresh: true }] }
    case 'stored':
      return { ...o, lines: marked([h.id], { fresh: false, held: h.held }) }
    case 'sending':
      return { ...o, signal: 'sending', lines: marked(h.ids, { tried: true }) }
    case 'answered': {
      const why = new Map(h.results.map((r) => [r.id, r.state === 'refused' ? (r.text ?? '') : undefined]))
      const lines = o.lines.flatMap((l) => {
        if (!why.has(l.id)) return [l]
        const refused = why.get(l.id)
        return refused === undefined ? [] : [{ ...l, refused }]
      })
      return settled({ ...o, lines, failures: 0 })
    }
    case 'refused':
      return settled({
        ...o,
        failures: 0,
        lines: marked(h.ids, h.ids.length > 1 ? { alone: true } : { refused: h.why }),
      })
    case 'lost':
      return { ...o, signal: h.signal, failures: o.failures + 1 }
    case 'dropped':
      return settled({ ...o, lines: o.lines.filter((l) => l.id !== h.id) })
  }
}

const has = (lines: readonly Waiting[], id: string) => lines.some((l) => l.id === id)

/** One's own lines. */
export const mine = ({ lines, me }: Outbox) => lines.filter((l) => l.by === me)

const settled = (o: Outbox): Outbox =>
  mine(o).every((l) => l.refused !== undefined) ? { ...o, signal: 'sent', failures: 0 } : o

/** The most that is sent at once. */
export const MOST = 100

/**
 * What is sent next of one's own: a group of one round, or one line that corrects another. A line goes
 * before the one that takes it back, whatever the phone's clock did.
 */
export function next(o: Outbox): readonly Waiting[] {
  const open = mine(o).filter((l) => l.refused === undefined)
  const first = open.find((l) => !open.some((o) => o.id === l.amends))
  if (!first) return []
  if (first.amends || first.alone) return [first]
  return open
    .filter((l) => !l.amends && !l.alone && l.job === first.job && l.day === first.day)
    .slice(0, MOST)
}

/** How long until it is tried again, ms: longer each time that there was no answer. */
export const pause = (failures: number) => Math.min(1000 * 2 ** Math.max(0, failures - 1), 10_000)

/** Whether a line never left the phone, and can just be dropped; else another takes it back. */
export const droppable = ({ lines }: Outbox, id: string) => lines.some((l) => l.id === id && !l.tried)
