import { createContext, useContext, useState, type ReactNode } from 'react'
import type { System } from './format'

const KEY = 'keeler.units'

const Units = createContext<{ system: System; choose: (s: System) => void }>({
  system: 'metric',
  choose: () => undefined,
})

export function UnitsProvider({ children }: { children: ReactNode }) {
  const [system, setSystem] = useState<System>(localStorage.getItem(KEY) === 'us' ? 'us' : 'metric')
  const choose = (s: System) => {
    localStorage.setItem(KEY, s)
    setSystem(s)
  }
  return <Units value={{ system, choose }}>{children}</Units>
}

export const useUnits = () => useContext(Units)

/** The unit in which volumes are typed. */
export const useVolumeUnit = () => (useUnits().system === 'us' ? 'fl oz' : 'mL')
