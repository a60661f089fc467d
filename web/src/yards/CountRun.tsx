import { useQuery } from '@tanstack/react-query'
import { produce } from 'immer'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import {
  begin,
  downThe,
  Entries,
  Faults,
  type Panel,
  plain,
  Press,
  read,
  Reader,
  Said,
  three,
  type Typed as Asked,
  useKept,
  useSaving,
  useStart,
  Waiting,
  when,
  yardQuery,
} from '../kit'
import { client, data, type Schemas } from '../api/client'
import { MiteGauge } from '../drawing/MiteGauge'
import { text } from './text'
import { changed } from './changed'
import page from '../kit/page.module.css'
import styles from './CountRun.module.css'

type Key = 'kind' | 'on' | 'days' | 'bees'

interface Typed {
  asked: Asked<Key>
  /** By colony, with the id that the count will have. */
  mites: Record<string, { id: string; mites: string }>
}

/** What is said once for all hives. */
const ONCE: Panel<Key> = {
  title: '',
  entries: [
    { of: 'kind', label: text.mites, options: text.kinds },
    { of: 'on', as: 'day', label: text.countedOn },
    { of: 'days', label: text.days, first: '7', when: when('kind', 'board') },
    { of: 'bees', as: 'whole', label: text.bees, first: '300', when: when('kind', 'wash') },
  ],
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
    asked: { ...begin([ONCE], {}), on: now.slice(0, 10) },
    mites: {},
  }))
  const [told, setTold] = useState<Record<string, Schemas['MiteCount']>>({})
  const v = form.value
  const change = (recipe: (t: Typed) => void) => form.set(produce(v, recipe))
  const filled = yard.stands.filter((s) => v.mites[s.id]?.mites.trim())
  const reader = new Reader('metric')
  const once = read([ONCE], v.asked, reader) as Pick<Schemas['MiteCount'], 'kind' | 'on' | 'days' | 'bees'>
  const counts = filled.map((s, i) => ({
    id: v.mites[s.id]!.id,
    colony_id: s.id,
    mites: reader.needed(`counts[${i}].mites`, v.mites[s.id]!.mites, true),
    ...once,
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
    <main data-gloves className={page.page}>
      <div className={page.head}>
        <h1>{text.countTitle(yard.name)}</h1>
        <Link to={`/yards/${yard.id}`}>{text.toYard(yard.name)}</Link>
      </div>
      <Faults value={shared}>
        <div className={page.form}>
          <Entries of={ONCE} typed={v.asked} change={(recipe) => change((t) => recipe(t.asked))} />
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
              onKeyDown={downThe(`.${styles.countRow} input`)}
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
