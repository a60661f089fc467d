import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { client, data } from '../../api/client'
import { Docket } from '../../docket/Docket'
import {
  Choice,
  Faults,
  FaultLine,
  Field,
  may,
  named,
  Pick,
  Press,
  readOne,
  Said,
  stale,
  useKept,
  useSaving,
  useStart,
  yardQuery,
  yardsQuery,
} from '../../kit'
import page from '../../kit/page.module.css'
import styles from './ComparePage.module.css'
import { Groups } from './Groups'
import { PowerPanel } from './PowerPanel'
import { text } from './text'

interface Plan {
  id: string
  groups: string
  yard: string
  name: string
  how: 'deal' | 'sort'
  names: string[]
  /** Which hives are left out; and, where they are sorted by hand, the group of each. */
  out: string[]
  sorted: Record<string, number>
}

/** How many groups there can be. */
const FEWEST = 2
const MOST = 6

const fresh = (): Plan => ({
  id: crypto.randomUUID(),
  groups: '2',
  yard: '',
  name: '',
  how: 'deal',
  names: [],
  out: [],
  sorted: {},
})

/** How many hives a comparison takes, and the groups themselves: dealt by chance, or sorted. */
export default function PlanPage() {
  const plan = useKept<Plan>('compare.plan', fresh)
  const [enough, setEnough] = useState<number>()
  const p = plan.value
  const set = (change: Partial<Plan>) => plan.set({ ...p, ...change })
  const navigate = useNavigate()
  const keeper = may(useStart().me?.role, 'keeper')
  const yards = useQuery(yardsQuery)
  const at = p.yard || (yards.data?.[0]?.id ?? '')
  const yard = useQuery({ ...yardQuery(at), enabled: at !== '' }).data
  const counted = readOne('groups', p.groups)
  const fits = Number.isInteger(counted.figure) && FEWEST <= counted.figure! && counted.figure! <= MOST
  const groups = fits ? counted.figure! : FEWEST
  const names = Array.from({ length: groups }, (_, i) => p.names[i] ?? '')
  const hives = (yard?.stands ?? []).filter((s) => !s.ended_on)
  const taken = hives.filter((s) => !p.out.includes(s.id))
  const groupOf = (id: string) => Math.min(p.sorted[id] ?? 0, groups - 1)
  const saving = useSaving(
    () =>
      data(
        client.POST('/api/comparisons', {
          body: {
            id: p.id,
            name: p.name || text.suggestion(yard?.name ?? ''),
            deal: p.how === 'deal',
            groups: names.map((name, g) => ({
              name: name.trim() || text.groupName(g + 1),
              colonies: taken
                .filter((s) => (p.how === 'deal' ? g === 0 : groupOf(s.id) === g))
                .map(({ id }) => ({ id })),
            })),
          },
        }),
      ),
    (made) => {
      plan.putDown()
      stale('jobs')
      void navigate(`/compare?by=groups&comparison=${made.id}`)
    },
  )
  /** A press takes a hive in or out; where they are sorted it goes from group to group first. */
  const press = (id: string) => {
    const isOut = p.out.includes(id)
    const next = groupOf(id) + 1
    if (isOut) set({ out: p.out.filter((o) => o !== id), sorted: { ...p.sorted, [id]: 0 } })
    else if (p.how === 'sort' && next < groups) set({ sorted: { ...p.sorted, [id]: next } })
    else set({ out: [...p.out, id] })
  }
  const each = Math.floor(taken.length / groups)
  return (
    <main className={styles.screen}>
      <div className={styles.main}>
        <div className={page.head}>
          <Link to="/compare">‹ {text.toCompare}</Link>
          <h1>{text.planTitle}</h1>
          <span className="quiet">{text.planIntro}</span>
        </div>
        <PowerPanel groups={groups} onEnough={setEnough} />
        <section className={page.panel}>
          <h2>{text.which}</h2>
          <div className={page.bar}>
            <Pick
              label={text.yard}
              value={at}
              options={named(yards.data)}
              onChange={(yard) => set({ yard, out: [], sorted: {} })}
            />
            <span className="quiet">{text.whichHint}</span>
          </div>
          {yard && (
            <Groups
              hives={hives}
              out={p.out}
              groupOf={p.how === 'sort' ? groupOf : undefined}
              names={names}
              press={press}
            />
          )}
        </section>
      </div>
      <aside>
        <Docket title={p.name || (yard ? text.suggestion(yard.name) : text.planTitle)} sub="" origin="">
          <Faults value={{ ...saving.faults, ...(!fits && { groups: text.groupsRange }) }}>
            <div className={styles.form}>
              <Field text label={text.name} path="name" value={p.name} onChange={(name) => set({ name })} />
              <Field
                label={text.groups}
                path="groups"
                unit={text.groupsUnit}
                value={p.groups}
                onChange={(groups) => set({ groups })}
              />
              {names.map((name, g) => (
                <div key={g}>
                  <Field
                    text
                    label={text.groupName(g + 1)}
                    path={`groups[${g}].name`}
                    value={name}
                    onChange={(n) => set({ names: names.map((was, i) => (i === g ? n : was)) })}
                  />
                  <FaultLine path={`groups[${g}].colonies`} />
                </div>
              ))}
              <Choice label={text.how} value={p.how} options={text.hows} onChange={(how) => set({ how })} />
              <p className="quiet">{p.how === 'deal' ? text.dealHint : text.sortHint}</p>
              {taken.length > 0 && (
                <p>
                  <b>{text.hives(taken.length)}</b>
                  {p.how === 'deal' && `: ${text.each(taken.length, groups)}`}
                  {enough !== undefined && each < enough && ` · ${text.tooFew(enough)}`}
                </p>
              )}
              <p>{text.exposed}</p>
              {keeper && (
                <Press
                  main
                  big
                  says={p.how === 'deal' ? text.save : text.saveSorted}
                  off={!fits || taken.length < groups || saving.busy}
                  onPress={() => saving.save(undefined)}
                  data-save-comparison
                />
              )}
              <Said message={Object.keys(saving.faults).length === 0 ? saving.message : undefined} />
            </div>
          </Faults>
        </Docket>
      </aside>
    </main>
  )
}
