import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { ask, lotsQuery, may, type Options, tenths, three, useStart, Waiting } from '../../kit'
import type { Schemas } from '../../api/client'
import { Vessel, type VesselKind } from '../../drawing/Vessel'
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

/** An amount as it is said: thousands of g or mL as kg or L. */
const amount = (v: number, unit: Schemas['LotStock']['unit']) =>
  unit !== 'pieces' && Math.abs(v) >= 1000
    ? { value: three(v / 1000), unit: text.thousands[unit] }
    : { value: tenths(v), unit: text.units[unit] }

type Ingredient = Schemas['Lot']['ingredient']

const VESSELS: Record<Ingredient, VesselKind> = {
  acid: 'jar',
  sugar: 'packet',
  glycerol: 'bottle',
  tablets: 'packet',
  ready_mix: 'bottle',
  formic: 'bottle',
  carrier: 'packet',
  product: 'bottle',
  ready_pads: 'packet',
  filter: 'packet',
}
const ACID: readonly Ingredient[] = ['acid', 'formic', 'tablets', 'ready_mix', 'product', 'ready_pads']

/** A lot: its vessel, as full as it is still, and what can be made of that. */
function LotJar({ lot }: { lot: Schemas['LotStock'] }) {
  const left = amount(lot.left, lot.unit)
  const bought = amount(lot.bought ?? 0, lot.unit)
  const { hives, strips } = lot.does ?? {}
  return (
    <Link to={`/stock/${lot.id}`} className={own.lot} data-lot-name={lot.name}>
      <Vessel
        kind={VESSELS[lot.ingredient]}
        volume={Math.max(0, lot.left)}
        size={Math.max(lot.bought ?? 0, lot.left, 1)}
        neck={lot.bought ? text.boughtOf(bought.value, bought.unit) : ''}
        figure={left.value}
        unit={left.unit}
      />
      <div className={own.about}>
        <b className={ACID.includes(lot.ingredient) ? styles.harm : undefined}>{names[lot.ingredient]}</b>
        <span>{lot.name}</span>
        {hives && <span data-does>{text.forHives(hives)}</span>}
        {strips && <span data-does>{text.forStrips(strips)}</span>}
        {lot.to_reconcile && <span className={styles.harm}>{text.reconcile}</span>}
        {lot.supplier_no && <small>{text.supplier(lot.supplier_no)}</small>}
        {lot.use_by && <UseBy useBy={lot.use_by} keeps={lot.keeps} />}
      </div>
    </Link>
  )
}
