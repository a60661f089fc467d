import { useQuery } from '@tanstack/react-query'
import { Link, useParams } from 'react-router'
import { ask, date, Press, queries, tenths, Waiting } from '../../kit'
import { client, data } from '../../api/client'
import styles from '../book.module.css'
import { Entries } from '../Entries'
import { EntryForm } from '../EntryForm'
import { UseBy } from '../LedgerPanel'
import { text } from './text'

/** One lot with its account. */
export default function LotPage() {
  const { id = '' } = useParams()
  const book = useQuery(ask(['lots', id], '/api/lots/{id}', { path: { id } }))
  if (!book.data) return <Waiting query={book} />
  const lot = book.data
  const unit = text.units[lot.unit]
  return (
    <main className={styles.page}>
      <p>
        <Link to="/stock">{text.toStock}</Link>
      </p>
      <h1>{lot.name}</h1>
      <p className={lot.to_reconcile ? `${styles.left} ${styles.harm}` : styles.left} data-left>
        {tenths(lot.left)} <small>{unit}</small>
      </p>
      {lot.supplier_no && <p>{text.supplier(lot.supplier_no)}</p>}
      {(lot.supplier || lot.bought_on) && (
        <p>{text.boughtFrom(lot.supplier ?? '', lot.bought_on ? date(lot.bought_on) : '')}</p>
      )}
      {lot.authorisation && <p>{text.authorised(lot.authorisation)}</p>}
      {lot.use_by && <UseBy useBy={lot.use_by} keeps={lot.keeps} />}
      <p>
        <Press outlined says={text.recall} to={`/recall?lot=${id}`} data-to-recall />
      </p>
      <h2>{text.account}</h2>
      <Entries entries={lot.entries} unit={unit} />
      <EntryForm
        id={id}
        kinds={['used', 'spilled', 'discarded', 'found']}
        unit={unit}
        send={(body) => data(client.POST('/api/lots/{id}/entries', { params: { path: { id } }, body }))}
        onDone={() => queries.invalidateQueries({ queryKey: ['lots'] })}
      />
    </main>
  )
}
