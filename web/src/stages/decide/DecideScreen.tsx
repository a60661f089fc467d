import { keepPreviousData, useQuery } from '@tanstack/react-query'
import NativeSelect from '@mui/material/NativeSelect'
import { useCallback, useState } from 'react'
import { Link } from 'react-router'
import { client, Problem, type Schemas } from '../../api/client'
import { Faults } from '../../parts/faults'
import { Field } from '../../parts/Field'
import { Near } from '../../parts/Near'
import { Said } from '../../parts/Said'
import { day as written } from '../../shell/day'
import { useKept } from '../../shell/useKept'
import { useStart } from '../../shell/useStart'
import { Reader } from '../../units/reader'
import styles from './decide.module.css'
import { JobDocket } from './JobDocket'
import { JobList } from './JobList'
import { text } from './text'
import { METHODS, type Method } from './methods'
import { YardMatrix } from './YardMatrix'

/** What the keeper has chosen so far; it outlives a reload. */
export interface Choice {
  day: string
  people: string
  method: Method
  under: Record<Method, string>
  /** Colonies ticked, in no order. */
  ticked: string[]
  name: string
  ruleKind: '' | Schemas['SaveJob']['rule_kind']
  rule: string
  override: string
  /** Of the job to be made: a try that got no answer is repeated under it. */
  id: string
}

const fresh = (day: string): Choice => ({
  day,
  people: '1',
  method: 'dribble',
  under: { dribble: '', strip: '', pad: '' },
  ticked: [],
  name: '',
  ruleKind: '',
  rule: '',
  override: '',
  id: crypto.randomUUID(),
})

/** Decide: which colony needs what, which method fits each, on which day. */
export default function DecideScreen() {
  const { now } = useStart()
  const today = now.slice(0, 10)
  const choice = useKept<Choice>('decide', () => fresh(today))
  const c = choice.value.day < today ? { ...choice.value, day: today } : choice.value
  const reader = new Reader('metric')
  const people = reader.needed('people', c.people, true)
  const set = choice.set
  const query = { day: c.day, people, ...c.under }
  const decide = useQuery({
    queryKey: ['decide', query],
    queryFn: async ({ signal }) => (await client.GET('/api/decide', { params: { query }, signal })).data,
    placeholderData: keepPreviousData,
    networkMode: 'always',
    retry: false,
    enabled: reader.readable,
  })
  const cards = useQuery({
    queryKey: ['cards'],
    queryFn: async ({ signal }) => (await client.GET('/api/cards', { signal })).data?.cards ?? [],
  })
  const [open, setOpen] = useState<string>()
  const { update } = choice
  const tick = useCallback(
    (ids: readonly string[], on: boolean) =>
      update((v) => ({ ...v, ticked: [...v.ticked.filter((id) => !ids.includes(id)), ...(on ? ids : [])] })),
    [update],
  )
  const choose = useCallback(
    (method: Method) => update((v) => ({ ...v, method, ticked: [], override: '' })),
    [update],
  )
  const pickDay = useCallback((day: string) => update((v) => ({ ...v, day })), [update])
  const toggle = useCallback((cell: string) => setOpen((o) => (o === cell ? undefined : cell)), [])
  const d = decide.data
  const { ticked } = c
  return (
    <div className={styles.screen}>
      <main className={styles.main}>
        <div className={styles.head}>
          <h1>{text.title}</h1>
          <span className="quiet">{text.forDay(written(c.day))}</span>
          <div className={styles.crew}>
            <Faults value={{ ...(decide.error instanceof Problem && decide.error.faults), ...reader.faults }}>
              <Field
                label={text.crew}
                path="people"
                value={c.people}
                onChange={(v) => set({ ...c, people: v })}
              />
            </Faults>
          </div>
        </div>
        <div className={styles.protocols}>
          <span className="quiet">{text.under}</span>
          {METHODS.map((m) => (
            <label key={m}>
              {text.methods[m]}:{' '}
              <NativeSelect
                value={c.under[m]}
                onChange={(e) => set({ ...c, under: { ...c.under, [m]: e.target.value } })}
              >
                {protocolsOf(m).map((s) => (
                  <option key={s} value={s}>
                    {text.protocols[s]}
                  </option>
                ))}
                {cards.data
                  ?.filter((k) => k.method === m)
                  .map((k) => (
                    <option key={k.id} value={`card:${k.id}`}>
                      {k.name}
                    </option>
                  ))}
              </NativeSelect>
            </label>
          ))}
          <Link to="/cards">{text.cards}</Link>
        </div>
        <Said message={decide.error?.message} />
        {d?.yards.length === 0 && (
          <p>
            {text.none} <Link to="/yards">{text.toYards}</Link>
          </p>
        )}
        {d?.yards.map(
          (y) =>
            y.colonies.length > 0 && (
              <Near key={y.id} height={260 + 47 * y.colonies.length}>
                <YardMatrix
                  yard={y}
                  reasons={d.reasons}
                  method={c.method}
                  day={c.day}
                  today={today}
                  open={y.colonies.some((k) => open?.startsWith(k.id)) ? open : undefined}
                  ticked={ticked.filter((id) => y.colonies.some((k) => k.id === id)).join(' ')}
                  toggle={toggle}
                  choose={choose}
                  tick={tick}
                  pickDay={pickDay}
                />
              </Near>
            ),
        )}
        <JobList />
      </main>
      <aside className={styles.side}>
        {d && reader.readable && (
          <JobDocket
            decide={d}
            people={people}
            choice={c}
            set={set}
            done={() => set({ ...fresh(today), people: c.people })}
          />
        )}
      </aside>
    </div>
  )
}

const protocolsOf = (m: Method) =>
  m === 'dribble'
    ? ['', 'winter', 'winter-tight', 'winter-loose', 'in-season']
    : m === 'strip'
      ? ['', 'strips']
      : ['', 'formic', 'formic-bottle']
