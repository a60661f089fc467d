import type { ReactNode } from 'react'
import styles from './Docket.module.css'

interface Props {
  title: string
  sub: string
  /** Said at the foot of the head in print: where it comes from and when. */
  origin: string
  busy?: boolean
  children: ReactNode
}

/**
 * The narrow paper column that goes to the shed. It is a table so that a long
 * docket repeats its head on every printed page.
 */
export function Docket({ title, sub, origin, busy, children }: Props) {
  return (
    <table className={styles.docket} role="presentation" aria-busy={busy} data-docket>
      <thead>
        <tr>
          <td>
            <div className={styles.head}>
              <h2>{title}</h2>
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

export function Totals({ children }: { children: ReactNode }) {
  return <dl className={styles.totals}>{children}</dl>
}

export function Total({ label, value, unit }: { label: string; value: string; unit: string }) {
  return (
    <div>
      <dt>{label}</dt>
      <dd>
        {value} <small>{unit}</small>
      </dd>
    </div>
  )
}

/** Lines of advice: cautions in madder, the rest quiet. */
export function Advice({ title, lines, harm }: { title: string; lines: readonly string[]; harm?: boolean }) {
  if (lines.length === 0) return null
  return (
    <div className={harm ? `${styles.advice} ${styles.harm}` : styles.advice} data-heed-docket={harm}>
      <h3>{title}</h3>
      {lines.map((l) => (
        <p key={l}>{l}</p>
      ))}
    </div>
  )
}
