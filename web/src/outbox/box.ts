import { openDB, type DBSchema } from 'idb'
import type { Waiting } from './outbox'

interface Box extends DBSchema {
  outbox: { key: string; value: Waiting; indexes: { at: number } }
}

const open = () =>
  openDB<Box>('keeler', 1, {
    upgrade: (db) => void db.createObjectStore('outbox', { keyPath: 'id' }).createIndex('at', 'at'),
  })

let opened: ReturnType<typeof open> | undefined
const box = () => (opened ??= open())

// The phone's own store may be full or forbidden: none of these throws.

/** All that waits, in the order in which it happened. */
export const kept = async (): Promise<Waiting[]> => {
  try {
    return await (await box()).getAllFromIndex('outbox', 'at')
  } catch {
    return []
  }
}

/** Keeps a line; false when the store does not take it. */
export async function keep(line: Waiting): Promise<boolean> {
  try {
    await (await box()).put('outbox', { ...line, held: false, fresh: false })
    return true
  } catch {
    return false
  }
}

export async function forget(id: string) {
  try {
    await (await box()).delete('outbox', id)
  } catch {
    return
  }
}
