import { createContext, useContext } from 'react'
import { told } from './told'

/** What is wrong with the request at hand, by the path of the field. */
export const Faults = createContext<Record<string, string>>({})

/** And why, as a code. */
export const FaultCodes = createContext<Record<string, string>>({})

export const useFaultCode = (path: string): string | undefined => useContext(FaultCodes)[path]

export const useFault = (path: string | undefined) => {
  const faults = useContext(Faults)
  const fault = path === undefined ? undefined : faults[path]
  return fault && told(fault)
}
