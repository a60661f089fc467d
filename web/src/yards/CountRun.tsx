import { useQuery } from '@tanstack/react-query'
import { produce } from 'immer'
import { useState, type KeyboardEvent } from 'react'
import { Link, useParams } from 'react-router'
import {
  Choice,
  Faults,
  Field,
  plain,
  Press,
  Reader,
  Said,
  three,
  useKept,
  useSaving,
  useStart,
  Waiting,
  yardQuery,
} from '../kit'
import { client, data, type Schemas } from '../api/client'
import { MiteGauge } from '../drawing/MiteGauge'
import { text } from './text'
import { changed } from './changed'
import page from '../kit/page.module.css'
import styles from './CountRun.module.css'

type Kind = Schemas['MiteCount']['kind']

interface Typed {
  kind: Kind
  on: string
  days: string
  bees: string
  /** By colony, with the id that the count will have. */
  mites: Record<string, { id: string; mites: string }>
}

/** The counts of a whole yard, typed down a column. */
export default function CountRun() {
  const { id = '' } = useParams()
  const yard = useQuery(yardQuery(id))
  if (!yard.data) return <Waiting query={yard} />
  return <Run key={id} yard={yard.data} />
}

function Run({ yard }: { yard: Schemas['YardWhole'] }) {
  const { now } = useStart()
  const form = useKept<Typed>(`counts.${yard.id}`, () => ({
    kind: 'board',
    on: now.slice(0, 10),
    days: '7',
    bees: '300',
    mites: {},
  }))
  const [told, setTold] = useState<Record<string, Schemas['MiteCount']>>({})
  const v = form.value
  const change = (recipe: (t: Typed) => void) => form.set(produce(v, recipe))
  const filled = yard.stands.filter((s) => v.mites[s.id]?.mites.trim())
  const reader = new Reader('metric')
  const sample =
    v.kind === 'board'
      ? { days: reader.needed('days', v.days) }
      : { bees: reader.needed('bees', v.bees, true) }
  const counts = filled.map((s, i) => ({
    id: v.mites[s.id]!.id,
    colony_id: s.id,
    kind: v.kind,
    mites: reader.needed(`counts[${i}].mites`, v.mites[s.id]!.mites, true),
    on: v.on,
    ...sample,
  }))
  const saving = useSaving(
    () => data(client.POST('/api/counts', { body: { counts } })),
    ({ counts }) => {
      setTold(Object.fromEntries(counts.map((c) => [c.colony_id, c])))
      form.set({ ...v, mites: {} })
      changed()
    },
  )
  const faults: Record<string, string> = { ...saving.faults, ...reader.faults }
  const faultOf = (colony: string) => {
    const i = filled.findIndex((s) => s.id === colony)
    return i < 0 ? undefined : faults[`counts[${i}].mites`]
  }
  // What is given once for all is told at its one field.
  const shared = Object.fromEntries(
    ['on', 'days', 'bees'].flatMap((f) => {
      const fault = Object.entries(faults).find(([path]) => path === f || path.endsWith(`.${f}`))
      return fault ? [[f, fault[1]]] : []
    }),
  )
  return (
    <main className={page.page}>
      <div className={page.head}>
        <h1>{text.countTitle(yard.name)}</h1>
        <Link to={`/yards/${yard.id}`}>{text.toYard(yard.name)}</Link>
      </div>
      <Faults value={shared}>
        <div className={page.form}>
          <Choice
            label={text.mites}
            value={v.kind}
            options={text.kinds}
            onChange={(k) => change((t) => void (t.kind = k))}
          />
          <Field
            text
            label={text.countedOn}
            path="on"
            value={v.on}
            onChange={(x) => change((t) => void (t.on = x))}
          />
          {v.kind === 'board' ? (
            <Field
              label={text.days}
              path="days"
              value={v.days}
              onChange={(x) => change((t) => void (t.days = x))}
            />
          ) : (
            <Field
              label={text.bees}
              path="bees"
              value={v.bees}
              onChange={(x) => change((t) => void (t.bees = x))}
            />
          )}
        </div>
      </Faults>
      <p className="quiet">{text.countHint}</p>
      <div className={styles.counts}>
        {yard.stands.map((s) => (
          <div key={s.id} className={styles.countRow} data-count-row={s.name}>
            <b>{s.name}</b>
            <input
              inputMode="numeric"
              aria-label={`${text.mites}, ${s.name}`}
              aria-invalid={faultOf(s.id) !== undefined}
              value={v.mites[s.id]?.mites ?? ''}
              onKeyDown={nextOnEnter}
              onChange={(e) =>
                change((t) => {
                  t.mites[s.id] = { id: t.mites[s.id]?.id ?? crypto.randomUUID(), mites: e.target.value }
                })
              }
            />
            {faultOf(s.id) ? (
              <span className={page.harm}>{faultOf(s.id)}</span>
            ) : (
              <Told count={told[s.id]} was={s.count} />
            )}
          </div>
        ))}
      </div>
      <div aria-live="polite">
        <Said message={Object.keys(faults).length > 0 ? undefined : saving.message} />
        {saving.done && <p>{text.saved}</p>}
      </div>
      <div className={`${page.bar} ${page.sticky}`}>
        <Press
          big
          main
          says={text.keepCounts(filled.length)}
          off={saving.busy || filled.length === 0 || !reader.readable}
          onPress={() => saving.save()}
          data-keep-counts
        />
      </div>
    </main>
  )
}

/** What the count just kept says, or the one before it. */
function Told({
  count,
  was,
}: {
  count: Schemas['MiteCount'] | undefined
  was: Schemas['Standing'] | undefined
}) {
  const standing = count?.standing ?? was
  return (
    <span>
      <MiteGauge standing={standing} />
      {count?.standing && (
        <small className="quiet">
          {' '}
          {text.interval(three(count.standing.low), three(count.standing.high), text.units[count.kind])}
          {count.standing.enough !== undefined && ` · ${text.more[count.kind](plain(count.standing.enough))}`}
          {count.standing.straddles && count.standing.stands === 'over' && ` · ${text.straddles}`}
        </small>
      )}
    </span>
  )
}

function nextOnEnter(e: KeyboardEvent<HTMLInputElement>) {
  if (e.key !== 'Enter') return
  e.preventDefault()
  const all = [...document.querySelectorAll<HTMLInputElement>(`.${styles.countRow} input`)]
  all[all.indexOf(e.currentTarget) + 1]?.focus()
}
