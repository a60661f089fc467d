import {
  ask,
  cardsQuery,
  day as written,
  Faults,
  Field,
  named,
  Near,
  Pick,
  Reader,
  useKept,
  useStart,
  Waiting,
} from '../kit'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useCallback, useEffect, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { FACTS, type Method, METHODS } from '../method/facts'
import { Problem } from '../api/client'
import styles from './DecideScreen.module.css'
import { JobDocket } from './JobDocket'
import { JobList } from './JobList'
import { text } from './text'
import { fresh, type Choice } from './choice'
import { YardMatrix } from './YardMatrix'

/** Decide: which colony needs what, which method fits each, on which day. */
export default function DecideScreen() {
  const { now } = useStart()
  const today = now.slice(0, 10)
  const choice = useKept<Choice>('decide', () => fresh(today))
  const c = choice.value.day < today ? { ...choice.value, day: today } : choice.value
  const { update } = choice
  const [asked, setAsked] = useSearchParams()
  useEffect(() => {
    // Another page brings hives and a name for their job.
    if (!asked.has('hive')) return
    update((v) => ({
      ...fresh(today),
      people: v.people,
      ticked: asked.getAll('hive'),
      name: asked.get('name') ?? '',
    }))
    setAsked({}, { replace: true })
  }, [asked, setAsked, update, today])
  const reader = new Reader('metric')
  const people = reader.needed('people', c.people, true)
  const set = choice.set
  const query = { day: c.day, people, ...c.under }
  const decide = useQuery({
    ...ask(['decide', query], '/api/decide', { query }),
    placeholderData: keepPreviousData,
    enabled: reader.readable,
  })
  const cards = useQuery(cardsQuery)
  const [open, setOpen] = useState<string>()
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
              <Pick
                label={text.methods[m]}
                value={c.under[m]}
                options={{
                  ...Object.fromEntries(FACTS[m].protocols.map((s) => [s, text.protocols[s] ?? s])),
                  ...named(
                    cards.data?.cards
                      .filter((k) => k.method === m)
                      .map((k) => ({ id: `card:${k.id}`, name: k.name })),
                  ),
                }}
                onChange={(v) => set({ ...c, under: { ...c.under, [m]: v } })}
              />
            </label>
          ))}
          <Link to="/cards">{text.cards}</Link>
        </div>
        {!d && reader.readable && <Waiting query={decide} />}
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
