import type { Schemas } from '../api/client'
import { told } from '../kit'
import styles from './Heed.module.css'
import { text } from './text'

type Notes = readonly Schemas['Note'][] | undefined

const warnings = (notes: Notes) => (notes ?? []).filter((n) => n.warn)

/** What can harm, beside the jar that it concerns. */
export function Heed({ notes }: { notes: Notes }) {
  const lines = warnings(notes)
  if (lines.length === 0) return null
  return (
    <div className={styles.heed} role="alert" data-heed>
      {lines.map((n) => (
        <p key={n.code + n.text}>{told(n.text)}</p>
      ))}
    </div>
  )
}

/** The first of it, and how many more, where a phone always shows what it comes to. */
export function HeedLine({ notes }: { notes: Notes }) {
  const [first, ...more] = warnings(notes)
  if (!first) return null
  return (
    <p className={styles.heedLine} data-heed-line>
      {told(first.text)} {more.length > 0 && text.moreToHeed(more.length)}
    </p>
  )
}

/** What can harm at one colony, by its name. */
export const heedOf = (notes: Notes, name: string) =>
  warnings(notes)
    .filter((n) => n.colonies?.includes(name))
    .map((n) => n.text)
    .join(' ')
