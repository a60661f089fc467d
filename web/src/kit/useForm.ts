import { produce } from 'immer'
import { useState } from 'react'
import type { Edit } from './edit'
import { begin, read, type Panel, type Typed } from './entries'
import { Reader } from './reader'
import { useKept } from './useKept'

/** A form that is kept under a key while it is typed, and the request that it stands for. */
export function useForm<Key extends string>(
  key: string,
  panel: Panel<Key>,
  fresh: () => Typed<Key>,
  /** What was kept, as it can still be. */
  still: (kept: Typed<Key>) => Typed<Key> = (kept) => kept,
) {
  const { value, set, putDown } = useKept(key, fresh)
  const typed = still(value)
  const reader = new Reader('metric')
  const body: unknown = read([panel], typed, reader)
  const change: Edit<Typed<Key>> = (recipe) => set(produce(typed, recipe))
  return { panel, typed, change, body, reader, set, putDown }
}

/** The same, kept nowhere: for what nobody else shall find, and for what is short. */
export function useTyped<Key extends string>(panel: Panel<Key>, begun?: Typed<Key>) {
  const begins = () => ({ ...begin([panel], {}), ...begun })
  const [typed, set] = useState(begins)
  const reader = new Reader('metric')
  const body: unknown = read([panel], typed, reader)
  const change: Edit<Typed<Key>> = (recipe) => set(produce(typed, recipe))
  return { panel, typed, change, body, reader, clear: () => set(begins()) }
}
