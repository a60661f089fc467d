import { useQuery } from '@tanstack/react-query'
import { lazy, Suspense, useState } from 'react'
import { useParams } from 'react-router'
import { ask, Choice, may, Press, queries, Said, useSaving, useStart, Waiting, yardQuery } from '../kit'
import { client, data } from '../api/client'
import { ClosedHives } from './ClosedHives'
import { ColonyForm } from './ColonyForm'
import { StandLine } from './StandLine'
import { text } from './text'
import page from '../kit/page.module.css'
import styles from './yards.module.css'
import { YardAhead } from './YardAhead'
import { YardForm } from './YardForm'
import { YardTable } from './YardTable'

const CountChart = lazy(() => import('./CountChart'))

/** One yard: its stand line, or the same as a table, and how its mites went. */
export default function YardPage() {
  const { id = '' } = useParams()
  const role = useStart().me?.role
  const [view, setView] = useState<'drawing' | 'table'>('drawing')
  const [form, setForm] = useState<'yard' | 'colony'>()
  const yard = useQuery(yardQuery(id))
  const counts = useQuery(ask(['yards', id, 'counts'], '/api/yards/{id}/counts', { path: { id } }))
  const arranging = useSaving(
    (colonies: string[]) =>
      data(client.PUT('/api/yards/{id}/order', { params: { path: { id } }, body: { colonies } })),
    (whole) => queries.setQueryData(['yards', id], whole),
  )
  if (!yard.data) return <Waiting query={yard} />
  const keeper = may(role, 'keeper')
  const { stands } = yard.data
  return (
    <main className={page.page}>
      <div className={page.head}>
        <h1>{yard.data.name}</h1>
        <span className="quiet">{yard.data.place}</span>
        <span className={page.actions}>
          {may(role, 'helper') && stands.length > 0 && (
            <>
              <Press main says={text.look} to="inspect" data-look />
              <Press main says={text.count} to="count" />
              <Press outlined says={text.readBoards} to="boards" data-read-boards />
            </>
          )}
          {keeper && (
            <>
              <Press outlined says={text.addColony} onPress={() => setForm('colony')} data-add-colony />
              <Press says={text.editYard} onPress={() => setForm('yard')} />
            </>
          )}
        </span>
      </div>
      {form === 'yard' && <YardForm yard={yard.data} onClose={() => setForm(undefined)} />}
      {form === 'colony' && <ColonyForm yard={id} onClose={() => setForm(undefined)} />}
      {yard.data.over > 0 && <p className={styles.alarm}>{text.over(yard.data.over)}</p>}
      <Said message={arranging.message} />
      <section className={styles.yard}>
        <div className={page.head}>
          <div style={{ width: 240 }}>
            <Choice
              label={text.drawing}
              value={view}
              options={{ drawing: text.drawing, table: text.table }}
              onChange={setView}
            />
          </div>
          {keeper && view === 'drawing' && stands.length > 1 && <span className="quiet">{text.reorder}</span>}
        </div>
        {stands.length === 0 && <p className="quiet">{text.noHives}</p>}
        {view === 'table' ? (
          <YardTable stands={stands} />
        ) : (
          <StandLine
            stands={stands}
            arrange={
              keeper
                ? (ids) => {
                    // Shown at once; the answer puts it right where it was refused.
                    queries.setQueryData(['yards', id], {
                      ...yard.data,
                      stands: ids.map((i) => stands.find((s) => s.id === i)!),
                    })
                    arranging.save(ids, {
                      onError: () => void queries.invalidateQueries({ queryKey: ['yards', id] }),
                    })
                  }
                : undefined
            }
          />
        )}
      </section>
      {stands.length > 0 && <YardAhead id={id} />}
      <ClosedHives yard={id} />
      {counts.data && counts.data.counts.length > 0 && (
        <Suspense>
          <CountChart
            counts={counts.data.counts}
            names={Object.fromEntries(stands.map((s) => [s.id, s.name]))}
          />
        </Suspense>
      )}
    </main>
  )
}
