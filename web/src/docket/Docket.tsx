import type { ReactNode } from 'react'
import { told } from '../kit'
import styles from './Docket.module.css'

interface Props {
  title: string
  sub: string
  /** Said at the foot of the head in print: where it comes from and when. */
  origin: string
  busy?: boolean
  /** It is what the page is about. */
  leads?: boolean
  children: ReactNode
}

/**
 * The narrow paper column that goes to the shed. It is a table so that a long
 * docket repeats its head on every printed page.
 */
export function Docket({ title, sub, origin, busy, leads, children }: Props) {
  const Title = leads ? 'h1' : 'h2'
  return (
    <table className={styles.docket} role="presentation" aria-busy={busy} data-docket>
      <thead>
        <tr>
          <td>
            <div className={styles.head}>
              <Title>{title}</Title>
              <p>{sub}</p>
              <p className={styles.origin}>{origin}</p>
            </div>
          </td>
        </tr>
      </thead>
      <tbody>
        <tr>
          <td>{children}</td>
        </tr>
      </tbody>
    </table>
  )
}

export interface LineProps {
  number: number
  name: string
  hint: string
  value: string
  unit: string
  tolerance?: string
  acid?: boolean
}

/** One thing to weigh, in figures that read at arm's length. */
export function DocketLine({ number, name, hint, value, unit, tolerance, acid }: LineProps) {
  return (
    <div className={acid ? `${styles.weigh} ${styles.acid}` : styles.weigh} data-line={name}>
      <span className={styles.number}>{number}</span>
      <span className={styles.name}>
        {name}
        <small>{hint}</small>
      </span>
      <span className={styles.figure}>
        {value} <small>{unit}</small>
        {tolerance && <i>{tolerance}</i>}
      </span>
    </div>
  )
}

/** The protection to put on before the next line. */
export function Gear({ label, pieces }: { label: string; pieces: readonly string[] }) {
  return (
    <ul className={styles.gear} aria-label={label}>
      {pieces.map((p) => (
        <li key={p}>{p}</li>
      ))}
    </ul>
  )
}

/** A figure of the whole: what it is called, the figure, its unit. */
export type TotalOf = readonly [string, string, string?]

/** The figures of the whole; what does not apply is left out. */
export function Totals({ of }: { of: readonly (TotalOf | false | undefined)[] }) {
  const told = of.filter((t): t is TotalOf => Array.isArray(t))
  if (told.length === 0) return null
  return (
    <dl className={styles.totals}>
      {told.map(([label, value, unit]) => (
        <div key={label}>
          <dt>{label}</dt>
          <dd>
            {value} <small>{unit}</small>
          </dd>
        </div>
      ))}
    </dl>
  )
}

/** Lines of advice: cautions in madder, the rest quiet. */
export function Advice({ title, lines, harm }: { title: string; lines: readonly string[]; harm?: boolean }) {
  if (lines.length === 0) return null
  return (
    <div className={harm ? `${styles.advice} ${styles.harm}` : styles.advice} data-heed-docket={harm}>
      <h3>{title}</h3>
      {lines.map((l) => (
        <p key={l}>{told(l)}</p>
      ))}
    </div>
  )
}
