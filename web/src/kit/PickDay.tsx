import { lazy, Suspense } from 'react'
import type { DayProps } from './DayField'
import styles from './PickDay.module.css'

// The calendar is dear to load, and few pages have one.
const DayField = lazy(() => import('./DayField'))

/** A day, typed or picked. */
export const PickDay = (props: DayProps) => (
  <Suspense fallback={<div className={styles.day} />}>
    <DayField {...props} />
  </Suspense>
)
