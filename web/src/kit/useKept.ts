import { useCallback, useEffect, useState } from 'react'
import { readKept, writeKept } from './storage'

const place = (key: string) => `keeler.kept.${key}`

/**
 * State that outlives a reload and a lost connection, until it is put down. A
 * key names one form of one thing, and stays the same while it is shown.
 */
export function useKept<T>(key: string, begin: () => T) {
  const [state, setState] = useState(() => {
    const value = readKept(place(key)) as T | undefined
    return { key, value, touched: value !== undefined }
  })
  useEffect(() => {
    if (state.touched) writeKept(place(state.key), state.value)
  }, [state])
  // The first one stays: what begins with an id of its own keeps it.
  const [begun] = useState(begin)
  const update = useCallback(
    (change: (value: T) => T) =>
      setState((s) => ({ key: s.key, value: change(s.value ?? begun), touched: true })),
    [begun],
  )
  return {
    value: state.value ?? begun,
    touched: state.touched,
    set: (value: T) => setState({ key, value, touched: true }),
    /** The same from what is there; it stays the same function. */
    update,
    putDown: () => {
      writeKept(place(key), undefined)
      setState({ key, value: undefined, touched: false })
    },
  }
}
