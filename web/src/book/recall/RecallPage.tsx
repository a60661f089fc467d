import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { Link, useSearchParams } from 'react-router'
import type { Schemas } from '../../api/client'
import { ask, clock, day, plain, Press, tenths, Waiting } from '../../kit'
import shared from '../book.module.css'
import styles from './RecallPage.module.css'
import { text } from './text'

type Recall = Schemas['Recall']

/** Where a lot or a batch went, or which lots reached a hive; prints on one page. */
export default function RecallPage() {
  const params = useSearchParams()[0]
  const query = Object.fromEntries(
    (['lot', 'batch', 'colony'] as const).flatMap((k) => {
      const id = params.get(k)
      return id ? [[k, id]] : []
    }),
  )
  const recall = useQuery(ask(['register', 'recall', query], '/api/recall', { query }))
  if (!recall.data) return <Waiting query={recall} />
  const { title, lots, batches, doses, waiting } = recall.data
  return (
    <main className={`${shared.page} ${styles.recall}`} data-recall>
      <h1>{title}</h1>
      <p className="quiet">
        {text.sum(doses.length, new Set(doses.map((d) => d.colony_id)).size, waiting.length)}
      </p>
      <div className="no-print">
        <Press says={text.print} onPress={() => print()} />
        <Button href={`/api/export/recall?${params.toString()}`} data-csv>
          {text.csv}
        </Button>
      </div>
      <h2>{text.lots}</h2>
      {lots.length === 0 && <p>{text.noLots}</p>}
      <ul>
        {lots.map((l) => (
          <li key={l.id}>
            <Link to={`/stock/${l.id}`}>{l.name || text.ingredients[l.ingredient]}</Link>{' '}
            {l.supplier_no && text.lotNo(l.supplier_no)}
          </li>
        ))}
      </ul>
      <h2>{text.batches}</h2>
      {batches.map((b) => (
        <p key={b.id} data-recall-batch={b.number}>
          <Link to={`/batches/${b.id}`}>{text.batch(b.number, b.name)}</Link>{' '}
          <b>{text.left(tenths(b.on_hand.left), text.units[b.on_hand.unit] ?? '')}</b>
          {b.vessels.length > 0 && ` · ${b.vessels.join(' · ')}`}
        </p>
      ))}
      {waiting.length > 0 && <WaitingHives waiting={waiting} />}
      <h2>{text.doses}</h2>
      <Doses doses={doses} />
    </main>
  )
}

const WaitingHives = ({ waiting }: Pick<Recall, 'waiting'>) => (
  <section data-recall-waiting>
    <h2>{text.waiting}</h2>
    <p>{text.waitingHint}</p>
    <ul>
      {waiting.map((w) => (
        <li key={`${w.colony_id} ${w.job_id}`}>
          <Link to={`/colonies/${w.colony_id}`}>{w.colony}</Link> · {w.job}, {day(w.day)}
        </li>
      ))}
    </ul>
  </section>
)

const Doses = ({ doses }: Pick<Recall, 'doses'>) => (
  <div className={styles.wide} role="region" aria-label={text.doses} tabIndex={0}>
    <table className={styles.table}>
      <thead>
        <tr>
          {text.heads.map((h) => (
            <th key={h}>{h}</th>
          ))}
        </tr>
      </thead>
      <tbody>
        {doses.map((d) => (
          <tr key={d.id}>
            <td>{d.yard}</td>
            <th scope="row">
              <Link to={`/colonies/${d.colony_id}`}>{d.colony}</Link>
            </th>
            <td>
              {day(d.given_at)} {clock(d.given_at)}
            </td>
            <td>
              {plain(d.amount)} {text.units[d.unit]}
            </td>
            <td>{text.batchNo(d.batch_number)}</td>
            <td>{d.lots?.join('; ')}</td>
            <td>{d.by}</td>
          </tr>
        ))}
      </tbody>
    </table>
  </div>
)
