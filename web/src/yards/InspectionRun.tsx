import { useQuery } from '@tanstack/react-query'
import { produce } from 'immer'
import { useEffect, useState } from 'react'
import { Link, useParams } from 'react-router'
import {
  Faults,
  PickDay,
  Press,
  queries,
  Said,
  stale,
  useKept,
  useSaving,
  useStart,
  Waiting,
  yardQuery,
} from '../kit'
import { client, type Schemas } from '../api/client'
import { Seen } from '../hive/Glimpse'
import { InspectionSheet, touched } from './InspectionSheet'
import { text } from './text'
import page from '../kit/page.module.css'
import shared from './yards.module.css'
import styles from './InspectionRun.module.css'

type Inspection = Schemas['Inspection']
type Stand = Schemas['ColonyRecord']

/** Looks that were not sent yet, by colony. */
type Open = Record<string, Inspection>

/** Several colonies looked into in a row, by tap or by keyboard. */
export default function InspectionRun() {
  const { id = '' } = useParams()
  const yard = useQuery(yardQuery(id))
  if (!yard.data) return <Waiting query={yard} />
  return <Run key={id} yard={yard.data} />
}

function Run({ yard }: { yard: Schemas['YardWhole'] }) {
  const open = useKept<Open>(`inspections.${yard.id}`, () => ({}))
  const today = useStart().now.slice(0, 10)
  const [on, setOn] = useState(today)
  const [at, setAt] = useState(0)
  const [sent, setSent] = useState<string[]>([])
  const stand = yard.stands[at]
  const sending = useSaving(
    async (inspections: Inspection[]) => {
      await client.POST('/api/inspections', { body: { inspections } })
      return inspections
    },
    (inspections) => {
      const gone = inspections.map((l) => l.colony_id)
      open.set(Object.fromEntries(Object.entries(open.value).filter(([c]) => !gone.includes(c))))
      setSent((s) => [...s, ...gone])
      stale('colonies', 'decide')
    },
  )
  useEffect(() => () => void queries.invalidateQueries({ queryKey: ['yards', yard.id] }), [yard.id])
  if (!stand) return null
  const inspection = open.value[stand.id] ?? begin(stand)
  const change = (recipe: (l: Inspection) => void) =>
    open.set({ ...open.value, [stand.id]: { ...produce(inspection, recipe), on } })
  const keep = () => {
    // What waits to be sent keeps the day on which it was seen.
    if (touched(inspection)) sending.save([{ ...inspection, on }])
    if (at + 1 < yard.stands.length) setAt(at + 1)
  }
  const unsent = Object.values(open.value).filter((l) => l.colony_id !== stand.id)
  return (
    <main data-gloves className={page.page}>
      <div className={page.head}>
        <h1>{text.inspectTitle(yard.name)}</h1>
        <Link to={`/yards/${yard.id}`}>{text.toYard(yard.name)}</Link>
        <Faults value={beneathFirst(sending.faults)}>
          <div className={styles.on}>
            <PickDay label={text.lookedOn} path="on" value={on} max={today} onChange={setOn} />
          </div>
        </Faults>
      </div>
      <Said message={sending.message} />
      {unsent.length > 0 && sending.message && (
        <div className={page.bar}>
          <span>{text.notSent(unsent.length)}</span>
          <Press outlined says={text.sendAll} onPress={() => sending.save(unsent)} />
        </div>
      )}
      <Seen id={stand.id} />
      <div className={shared.run}>
        <ul className={styles.list} data-look-list>
          {yard.stands.map((s, i) => (
            <li key={s.id}>
              <button type="button" aria-current={i === at} onClick={() => setAt(i)}>
                {s.name}
                <small className="quiet">{sent.includes(s.id) ? text.looked : ''}</small>
              </button>
            </li>
          ))}
        </ul>
        <InspectionSheet
          key={stand.id}
          stand={stand}
          inspection={inspection}
          faults={beneathFirst(sending.faults)}
          change={change}
          keep={keep}
          skip={() => setAt(Math.min(at + 1, yard.stands.length - 1))}
          last={at + 1 === yard.stands.length}
        />
      </div>
      {sent.length >= yard.stands.length && <p>{text.inspectDone}</p>}
    </main>
  )
}

/** What is wrong with the one that is sent, by its own fields. */
const beneathFirst = (faults: Record<string, string>) =>
  Object.fromEntries(
    Object.entries(faults).map(([path, fault]) => [path.replace('inspections[0].', ''), fault]),
  )

/** Nothing was looked at yet. */
const begin = (stand: Stand): Inspection => ({ id: crypto.randomUUID(), colony_id: stand.id })
