import { createContext, useContext } from 'react'

/** What is wrong with the request at hand, by the path of the field. */
export const Faults = createContext<Record<string, string>>({})

export const useFault = (path: string | undefined) => {
  const faults = useContext(Faults)
  return path === undefined ? undefined : faults[path]
}
