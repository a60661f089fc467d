import type { ReactNode } from 'react'
import { GearNow } from './Lines'
import styles from './Sheet.module.css'
import { text } from './text'

interface Props {
  weighing: ReactNode
  giving: ReactNode
  minding: ReactNode
}

/** The three parts of a docket: one column on the screen, side by side on paper. */
export function Sheet({ weighing, giving, minding }: Props) {
  return (
    <div className={styles.sheet}>
      <div className={styles.weighing}>{weighing}</div>
      <div className={styles.giving}>{giving}</div>
      <div className={styles.minding}>{minding}</div>
    </div>
  )
}

export interface GivingRow {
  name: string
  cells: readonly string[]
  /** What it gets, large, and in which parts. */
  figure: string
  parts?: string
}

export interface TableProps {
  gear: readonly string[]
  head: readonly string[]
  rows: readonly GivingRow[]
  sum: Omit<GivingRow, 'name'>
}

/** Who gets what, with the gear to wear for giving it. */
export function GivingTable({ gear, head, rows, sum }: TableProps) {
  if (rows.length === 0) return null
  return (
    <>
      <h3 className={styles.tableHead}>{text.whoGets}</h3>
      <GearNow pieces={gear} label={text.giving} />
      <table className={styles.table} aria-label={text.whoGets}>
        <thead>
          <tr>
            {head.map((h) => (
              <th key={h} scope="col">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((r, i) => (
            <Row key={i} {...r} />
          ))}
          <Row name={text.sum} {...sum} />
        </tbody>
      </table>
    </>
  )
}

function Row({ name, cells, figure, parts }: GivingRow) {
  return (
    <tr>
      <th scope="row">{name}</th>
      {cells.map((c, i) => (
        <td key={i}>{c}</td>
      ))}
      <td>
        <b>{figure}</b>
        {parts && <small> {parts}</small>}
      </td>
    </tr>
  )
}
