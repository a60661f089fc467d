import type { ReactNode } from 'react'
import styles from './HazardMark.module.css'
import { text } from './text'

const DRAWINGS: Record<string, ReactNode> = {
  poison: (
    <>
      <path d="M30 14c-9 0-15 6-15 14 0 5 2 8 6 10v5h18v-5c4-2 6-5 6-10 0-8-6-14-15-14z" />
      <circle className={styles.hollow} cx="24" cy="28" r="4" />
      <circle className={styles.hollow} cx="36" cy="28" r="4" />
      <path className={styles.cut} d="M30 33l-2 4h4zM27 39v4M30 39v4M33 39v4" />
      <path className={styles.bone} d="M14 44l32 8M46 44l-32 8" />
    </>
  ),
  corrosive: (
    <>
      <path className={styles.bone} d="M13 15l17 5" />
      <path d="M35 19c3 5 4 6 4 8.5a4 4 0 0 1-8 0c0-2.5 1-3.5 4-8.5z" />
      <path d="M11 40h15l2 5 4-2 3 4 4-3 3-4h7v7H11z" />
      <path className={styles.fume} d="M27 37c-3-2 2-3-1-6M43 37c3-2-2-3 1-6" />
    </>
  ),
}

/** A mark of harm, in ink alone: a thick ring with what it warns of. */
export function HazardMark({ mark }: { mark: string }) {
  return (
    <svg className={styles.hazard} viewBox="0 0 60 60" role="img" aria-label={text.marks[mark]}>
      <circle className={styles.ring} cx="30" cy="30" r="27" />
      {DRAWINGS[mark]}
    </svg>
  )
}
