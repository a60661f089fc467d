import type { Schemas } from '../api/client'
import { day, tenths } from '../kit'
import styles from './Entries.module.css'
import { text } from './text'

interface Props {
  entries: readonly Schemas['StockEntry'][]
  unit: string
}

/** An account, line by line: what came or went, why, by whom, and what was there before. */
export function Entries({ entries, unit }: Props) {
  if (entries.length === 0) return <p className="quiet">{text.noEntries}</p>
  return (
    <table className={styles.entries}>
      <tbody>
        {entries.map((e) => {
          const change = e.change ?? 0
          return (
            <tr key={e.id} data-entry={e.kind}>
              <td>
                {text.kinds[e.kind]}
                <small>
                  {e.at && day(e.at)}
                  {e.by && ` · ${e.by}`}
                </small>
              </td>
              <td>{[e.colony, e.reason].filter(Boolean).join(' · ')}</td>
              <td>
                <b>
                  {change < 0 ? '−' : '+'}
                  {tenths(Math.abs(change))}
                </b>{' '}
                <small>{text.then(tenths((e.left_before ?? 0) + change), unit)}</small>
              </td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}
