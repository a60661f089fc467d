import { useEffect, useSyncExternalStore } from 'react'

let volume: number | undefined
const listeners = new Set<() => void>()

/** Tells the spine how much is on the bench. */
export function usePublishedVolume(ml: number | undefined) {
  useEffect(() => {
    volume = ml
    listeners.forEach((tell) => tell())
  }, [ml])
}

export const useVolumeOnBench = () =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell)
      return () => listeners.delete(tell)
    },
    () => volume,
  )
