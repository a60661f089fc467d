import {
  ask,
  cardsQuery,
  Faults,
  Field,
  named,
  Near,
  Pick,
  PickDay,
  Reader,
  Term,
  told,
  useKept,
  useRoving,
  useShownFirst,
  useStart,
  Waiting,
} from '../kit'
import { type Query, useQuery } from '@tanstack/react-query'
import { useCallback, useEffect, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { FACTS, type Method, METHODS } from '../method/facts'
import { Problem, type Schemas } from '../api/client'
import styles from './DecideScreen.module.css'
import { Expected } from './Expected'
import { JobDocket } from './JobDocket'
import { JobList } from './JobList'
import { type Narrowed, shown } from './narrow'
import { text } from './text'
import { Toolbar } from './Toolbar'
import { fresh, type Choice } from './choice'
import { YardMatrix } from './YardMatrix'

const ALL: Narrowed = { ways: [], find: '' }
const NONE: string[] = []

/** ms: forecasts of mites come in the background; the longer they take, the more seldom they are asked for. */
const untilForeseen = ({ state }: Query<Schemas['Decide']>) =>
  state.data?.foreseeing ? 500 * 2 ** Math.min(state.dataUpdateCount, 7) : false

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
  const decide = useShownFirst(
    (first) => ({
      ...ask(['decide', { ...query, first }], '/api/decide', { query: { ...query, first } }),
      refetchInterval: untilForeseen,
    }),
    { enabled: reader.readable, keep: true },
  )
  const { error } = decide.query
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
  const at = METHODS.indexOf(c.method)
  const by = c.by ?? ALL
  const folded = c.folded ?? NONE
  const fold = useCallback(
    (yard: string) =>
      update((v) => {
        const were = v.folded ?? NONE
        return { ...v, folded: were.includes(yard) ? were.filter((y) => y !== yard) : [...were, yard] }
      }),
    [update],
  )
  const goTo = (yard: string) => {
    if (folded.includes(yard)) fold(yard)
    const place = document.getElementById(`yard-${yard}`)
    place?.scrollIntoView({ block: 'start' })
    place?.querySelector<HTMLElement>('[data-stops] button')?.focus({ preventScroll: true })
  }
  const roving = useRoving()
  const yards = d?.yards.filter((y) => y.colonies.length > 0) ?? []
  const unknown = yards.filter((y) => !y.known || y.expected)
  const unseen = d
    ? yards
        .flatMap((y) => (folded.includes(y.id) ? [] : y.colonies))
        .filter((k) => ticked.includes(k.id) && !shown(k, at, d.reasons, by)).length
    : 0
  return (
    <div className={styles.screen}>
      <main className={styles.main}>
        <div className={styles.head}>
          <div className={styles.title}>
            <h1>{text.title}</h1>
            {d?.foreseeing && (
              <small role="status" data-foreseeing>
                {text.foreseeing}
              </small>
            )}
          </div>
          <div className={styles.day}>
            <Faults value={error instanceof Problem ? error.faults : {}}>
              {(d ?? error) && (
                <PickDay label={text.dayAsk} path="day" value={c.day} min={today} onChange={pickDay} />
              )}
            </Faults>
          </div>
          <div className={styles.crew}>
            <Faults value={{ ...(error instanceof Problem && error.faults), ...reader.faults }}>
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
          <Term of="protocol" />
          {METHODS.map((m) => (
            <label key={m}>
              {text.methods[m]}:{' '}
              <Pick
                label={text.methods[m]}
                value={c.under[m]}
                options={{
                  ...Object.fromEntries(FACTS[m].protocols.map((s) => [s, told(text.protocols[s] ?? s)])),
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
        {unknown.length > 0 && (
          <Expected key={`${c.day} ${unknown.some((y) => y.expected)}`} day={c.day} yards={unknown} />
        )}
        {d && yards.length > 0 && (
          <Toolbar
            decide={d}
            at={at}
            method={text.methods[c.method].toLowerCase()}
            by={by}
            set={(to) => update((v) => ({ ...v, by: to }))}
            goTo={goTo}
            folded={yards.every((y) => folded.includes(y.id))}
            foldAll={(all) => update((v) => ({ ...v, folded: all ? yards.map((y) => y.id) : [] }))}
          />
        )}
        {!d && reader.readable && <Waiting query={decide.query} />}
        {d?.yards.length === 0 && (
          <p>
            {text.none} <Link to="/yards">{text.toYards}</Link>
          </p>
        )}
        <div className={styles.yards} {...roving} aria-busy={decide.behind} data-grid>
          {d &&
            yards.map((y) => (
              <div key={y.id} id={`yard-${y.id}`} className={styles.place}>
                <Near height={folded.includes(y.id) ? 48 : 260 + 47 * y.colonies.length}>
                  <YardMatrix
                    yard={y}
                    reasons={d.reasons}
                    method={c.method}
                    day={c.day}
                    today={today}
                    open={y.colonies.some((k) => open?.startsWith(k.id)) ? open : undefined}
                    ticked={ticked.filter((id) => y.colonies.some((k) => k.id === id)).join(' ')}
                    by={by}
                    folded={folded.includes(y.id)}
                    fold={fold}
                    toggle={toggle}
                    choose={choose}
                    tick={tick}
                    pickDay={pickDay}
                  />
                </Near>
              </div>
            ))}
        </div>
        {ticked.length > 0 && (
          <a className={styles.reach} href="#job" data-to-job>
            {text.toJob(ticked.length)}
          </a>
        )}
        <JobList />
      </main>
      <aside className={styles.side} id="job">
        {d && !d.so_far && reader.readable && (
          <JobDocket
            decide={d}
            people={people}
            unseen={unseen}
            choice={c}
            set={set}
            done={() => set({ ...fresh(today), people: c.people })}
          />
        )}
      </aside>
    </div>
  )
}
