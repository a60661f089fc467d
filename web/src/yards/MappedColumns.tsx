import type { Schemas } from '../api/client'
import { Pick } from '../kit'
import { text } from './text'
import styles from './yards.module.css'

interface Props {
  seen: Schemas['RecordsImport']
  onColumn: (head: string, column: string) => void
  onDays: (days: 'day_month' | 'month_day') => void
}

/** What each head of a file is taken for, shown on its first row, before anything is written. */
export function MappedColumns({ seen, onColumn, onDays }: Props) {
  const columns = Object.fromEntries(seen.columns.map((c) => [c, c.replaceAll('_', ' ')]))
  return (
    <table className={styles.table} data-heads>
      <thead>
        <tr>
          <th>{text.headInFile}</th>
          <th>{text.headSample}</th>
          <th>{text.headMeans}</th>
        </tr>
      </thead>
      <tbody>
        {seen.heads.map((h) => (
          <tr key={h.head}>
            <td>{h.head}</td>
            <td>
              {h.sample}
              {h.days && h.days !== 'iso' && (
                <>
                  {' '}
                  <small>{text.daysAs[h.days]}</small>
                </>
              )}
              {h.unsure && (
                <Pick
                  label={text.daysWhich}
                  value={h.days ?? 'day_month'}
                  options={{ day_month: text.daysAs.day_month, month_day: text.daysAs.month_day }}
                  onChange={(days) => onDays(days as 'day_month' | 'month_day')}
                />
              )}
            </td>
            <td>
              <Pick
                label={text.headColumn(h.head)}
                value={h.column ?? ''}
                options={columns}
                none={text.headIgnored}
                onChange={(column) => onColumn(h.head, column)}
              />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
