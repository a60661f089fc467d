import { lazy, Suspense, useDeferredValue } from 'react'
import { date } from './day'
import type { DayProps } from './DayField'
import shared from './kit.module.css'
import styles from './PickDay.module.css'
import { useIdle } from './useIdle'

// The calendar is dear to load, and few pages have one: what leads comes first.
const DayField = lazy(() => import('./DayField'))

/** A day, typed or picked. */
export function PickDay(props: DayProps) {
  const soon = <Soon {...props} />
  const ready = useDeferredValue(useIdle(), false) // what stands there stays until the calendar has come
  return <Suspense fallback={soon}>{ready ? <DayField {...props} /> : soon}</Suspense>
}

/** The day as it stands, until the field is there. */
const Soon = ({ label, value }: DayProps) => (
  <div className={`${shared.field} ${styles.soon}`} aria-busy>
    <small>{label}</small>
    <span>{/^\d/.test(value) && date(value)}</span>
  </div>
)
