import type { ReactNode } from 'react'
import { HiveFront } from '../drawing/HiveFront'
import { box } from './hive'
import { hiveBoxes } from './shape'
import styles from './CountedHives.module.css'
import { text } from './text'

interface Props {
  /** How many there are; undefined while that is not said. */
  colonies: number | undefined
  boxes?: number
  seams?: number
  /** What each gets. */
  each: string | undefined
  hint: string
  children?: ReactNode
}

const MOST = 48

/** Hives that were only counted: one drawn for each, all alike, and what each gets. */
export function CountedHives({ colonies, boxes = 1, seams, each, hint, children }: Props) {
  const stack = hiveBoxes(Array.from({ length: boxes }, () => box('deep', 10)))
  const drawn = Math.min(colonies ?? 0, MOST)
  return (
    <section className={styles.hives} data-counted-hives>
      {colonies !== undefined && (
        <h1>
          {text.hivesAlike(colonies)}
          {each && <b data-each>{text.eachGets(each)}</b>}
        </h1>
      )}
      <div className={styles.row} aria-hidden="true">
        {Array.from({ length: drawn }, (_, i) => (
          <HiveFront key={i} boxes={stack} seams={seams} />
        ))}
        {colonies !== undefined && colonies > drawn && <span>{text.andMore(colonies - drawn)}</span>}
      </div>
      {children}
      <p className="quiet">{hint}</p>
    </section>
  )
}
