import { useSyncExternalStore } from 'react'
import type { Schemas } from '../api/client'
import { readKept, writeKept } from './storage'

/** How figures, days, prices and seasons are written for whoever is here. */
export type Ways = Schemas['Writes']
export type System = Ways['units']

/** Where nobody is signed in, this browser remembers what was chosen. */
export const UNITS = 'keeler.units'

const listeners = new Set<() => void>()
const usual = (units: System): Ways => ({ units, hours: '24h', dates: 'day_month' })
let here = usual('metric')

/** The page is drawn anew when they change, so whatever writes may ask at any time. */
export const ways = () => here

export const useWays = () =>
  useSyncExternalStore((tell) => {
    listeners.add(tell)
    return () => listeners.delete(tell)
  }, ways)

/** Takes the ways of who is signed in; of nobody, those of this browser. */
export function goBy(own: Ways | undefined) {
  const next = own ?? usual(readKept(UNITS) === 'us' ? 'us' : 'metric')
  if (JSON.stringify(next) === JSON.stringify(here)) return
  here = next
  listeners.forEach((tell) => tell())
}

/** Remembers the units in this browser, and goes by them. */
export function keepUnits(units: System) {
  writeKept(UNITS, units)
  goBy(usual(units))
}
