import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { ask, lotsQuery, may, type Options, tenths, useStart, Waiting } from '../../kit'
import type { Schemas } from '../../api/client'
import styles from '../book.module.css'
import { UseBy } from '../LedgerPanel'
import { LotForm } from './LotForm'
import own from './stock.module.css'
import { text } from './text'

const names: Options = text.ingredients

/** What is mixed from: each lot as a jar, filled as far as it is there. */
export default function StockPage() {
  const role = useStart().me?.role
  const lots = useQuery(lotsQuery)
  return (
    <main className={styles.page}>
      <p>
        <Link to="/batches">{text.back}</Link>
      </p>
      <h1>{text.title}</h1>
      <p className="quiet">{text.intro}</p>
      {!lots.data && <Waiting query={lots} />}
      {lots.data?.length === 0 && <p>{text.none}</p>}
      <div className={own.stock}>
        {lots.data?.map((l) => (
          <LotJar key={l.id} lot={l} />
        ))}
      </div>
      {may(role, 'keeper') && <LotForm />}
      <SpentList />
    </main>
  )
}

/** What came out of hives and lies about still, job by job. */
function SpentList() {
  const { data } = useQuery(ask(['spent'], '/api/spent'))
  const left = data?.spent.filter((s) => s.left !== 0) ?? []
  if (left.length === 0) return null
  return (
    <section>
      <h2>{text.spent}</h2>
      <ul>
        {left.map((s) => (
          <li key={s.job_id} data-spent-of={s.job}>
            <Link to={`/check/${s.job_id}`}>{s.job}</Link>: {text.spentLeft(s.left)}
            {s.where && ` · ${s.where}`}
          </li>
        ))}
      </ul>
    </section>
  )
}

function LotJar({ lot }: { lot: Schemas['LotStock'] }) {
  const acid = ['acid', 'formic', 'tablets', 'ready_mix', 'product', 'ready_pads'].includes(lot.ingredient)
  return (
    <Link to={`/stock/${lot.id}`} className={own.lot} data-lot-name={lot.name}>
      <b className={acid ? styles.harm : undefined}>{names[lot.ingredient]}</b>
      <span>{lot.name}</span>
      <span className={lot.to_reconcile ? `${own.amount} ${styles.harm}` : own.amount}>
        {tenths(lot.left)} <small>{text.units[lot.unit]}</small>
      </span>
      {lot.to_reconcile && <span className={styles.harm}>{text.reconcile}</span>}
      {lot.supplier_no && <small>{text.supplier(lot.supplier_no)}</small>}
      {lot.use_by && <UseBy useBy={lot.use_by} keeps={lot.keeps} />}
    </Link>
  )
}
