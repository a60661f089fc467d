import { openDB, type DBSchema } from 'idb'
import type { Schemas } from '../api/client'

export type Application = Schemas['Application']

/** What waits on this phone until there is signal. */
export interface Waiting {
  id: string
  /** The order in which it happened. */
  at: number
  job: string
  day: string
  /** The line that it corrects. */
  amends?: string
  application: Application
  /** It was sent once: whether the server has it is not known until it answers. */
  tried?: boolean
  /** Why it could not be kept; it then waits for the keeper. */
  refused?: string
}

interface Box extends DBSchema {
  outbox: { key: string; value: Waiting; indexes: { at: number } }
}

const open = () =>
  openDB<Box>('keeler', 1, {
    upgrade: (db) => void db.createObjectStore('outbox', { keyPath: 'id' }).createIndex('at', 'at'),
  })

let opened: ReturnType<typeof open> | undefined
const box = () => (opened ??= open())

/** All that waits, in the order in which it happened. */
export const waiting = async () => (await box()).getAllFromIndex('outbox', 'at')

/** Keeps one; it fails when the phone's storage is full. */
export const put = async (w: Waiting) => (await box()).put('outbox', w)

export const drop = async (id: string) => (await box()).delete('outbox', id)
