import { createContext, useContext, useState, type ReactNode } from 'react'
import type { System } from './format'
import { readKept, writeKept } from './storage'

export const UNITS = 'keeler.units'

const Units = createContext<{ system: System; choose: (s: System) => void }>({
  system: 'metric',
  choose: () => undefined,
})

export function UnitsProvider({ children }: { children: ReactNode }) {
  const [system, setSystem] = useState<System>(readKept(UNITS) === 'us' ? 'us' : 'metric')
  const choose = (s: System) => {
    writeKept(UNITS, s)
    setSystem(s)
  }
  return <Units value={{ system, choose }}>{children}</Units>
}

export const useUnits = () => useContext(Units)
