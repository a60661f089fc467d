import { useCallback, useEffect, useState } from 'react'

const place = (key: string) => `keeler.kept.${key}`

function read(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(place(key)) ?? 'null') ?? undefined
  } catch {
    return undefined
  }
}

/**
 * State that outlives a reload and a lost connection, until it is put down. A
 * key names one form of one thing, and stays the same while it is shown.
 */
export function useKept<T>(key: string, begin: () => T) {
  const [state, setState] = useState(() => {
    const value = read(key) as T | undefined
    return { key, value, touched: value !== undefined }
  })
  useEffect(() => {
    if (state.touched) localStorage.setItem(place(state.key), JSON.stringify(state.value))
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
      localStorage.removeItem(place(key))
      setState({ key, value: undefined, touched: false })
    },
  }
}
