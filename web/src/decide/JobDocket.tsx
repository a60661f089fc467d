import { useQuery } from '@tanstack/react-query'
import { useNavigate } from 'react-router'
import { METHODS } from '../method/facts'
import { client, data, type Schemas } from '../api/client'
import { Docket } from '../docket/Docket'
import {
  Choice as Choosing,
  day as written,
  Faults,
  Field,
  may,
  Press,
  readOne,
  Said,
  seams as fraction,
  stale,
  useSaving,
  useStart,
} from '../kit'
import shared from './decide.module.css'
import styles from './JobDocket.module.css'
import { type Choice } from './choice'
import { text } from './text'

interface Props {
  decide: Schemas['Decide']
  choice: Choice
  people: number
  /** Of those ticked: how many the filters leave out. */
  unseen: number
  set: (choice: Choice) => void
  done: () => void
}

/** The docket of the Decide stage: the job as it grows, and the one question that it asks. */
export function JobDocket({ decide, choice, people, unseen, set, done }: Props) {
  const navigate = useNavigate()
  const keeper = may(useStart().me?.role, 'keeper')
  const at = METHODS.indexOf(choice.method)
  const rows = decide.yards.flatMap((y) =>
    y.colonies.filter((c) => choice.ticked.includes(c.id)).map((c) => ({ ...c, yard: y })),
  )
  const yards = [...new Map(rows.map((r) => [r.yard.id, r.yard])).values()]
  const { method } = choice
  const under = choice.under[method]
  // Each yard has its own weather, and so its own days.
  const plans = useQuery({
    queryKey: ['decide', 'plan', method, under, people, choice.day, rows.map((r) => r.id)],
    enabled: rows.length > 0,
    queryFn: async ({ signal }) =>
      Promise.all(
        yards.map(async (y) => {
          const colonies = rows.filter((r) => r.yard.id === y.id).map((r) => r.id)
          const body = { yard_id: y.id, method, under, colonies, people, from: choice.day }
          return data(client.POST('/api/jobs/plan', { body, signal }))
        }),
      ),
  })
  const shares = merged((plans.data ?? []).flatMap((p) => p.days))
  const left = (plans.data ?? []).flatMap((p) => p.left ?? [])
  const dayOf = new Map(shares.flatMap((s) => s.colonies.map((id) => [id, s.day])))
  const amiss = rows.filter((r) => r.cells[at]!.ask)
  const name =
    choice.name || text.suggestion(yards.map((y) => y.name).join(', '), text.methods[choice.method])
  const controls = readOne('controls', choice.controls ?? '')
  const saving = useSaving(
    async (rule_kind: Schemas['SaveJob']['rule_kind']) => {
      const colonies = rows.map((r) => ({
        colony_id: r.id,
        day: dayOf.get(r.id) ?? choice.day,
        ...(amiss.includes(r) && { override: choice.override }),
      }))
      const body = {
        id: choice.id,
        name,
        method: choice.method,
        under: choice.under[choice.method],
        rule_kind,
        rule: choice.rule,
        people,
        colonies,
        ...(controls.figure && { controls: controls.figure }),
      }
      return data(client.POST('/api/jobs', { body }))
    },
    (job) => {
      done()
      stale('jobs')
      void navigate(`/jobs/${job.id}`)
    },
  )
  const unread = Object.entries(saving.faults).find(([path]) => path.endsWith('.override'))?.[1]
  return (
    <Docket
      title={text.job}
      sub={`${text.methods[choice.method]} · ${text.people(people)}`}
      origin=""
      busy={plans.isFetching}
    >
      {rows.length === 0 ? (
        <p className="quiet">{text.jobEmpty}</p>
      ) : (
        <Faults
          value={{
            ...saving.faults,
            ...(unread && { override: unread }),
            ...(choice.controls && controls.faults),
          }}
        >
          <div className={styles.form}>
            <div className={shared.big}>
              <b>{text.hives(rows.length)}</b>
              <span>{fraction(rows.reduce((n, r) => n + (r.seams ?? 0), 0))} seams</span>
            </div>
            {unseen > 0 && <p data-unseen>{text.unseen(unseen)}</p>}
            <ul className={shared.list} data-shares>
              {shares.map((s) => (
                <li key={s.day}>
                  <b>{written(s.day)}</b>
                  <span>{text.share(s.colonies.length, s.minutes)}</span>
                </li>
              ))}
              {left.length > 0 && (
                <li>
                  <b>{written(choice.day)}</b>
                  <span>{text.left(left.length)}</span>
                </li>
              )}
            </ul>
            {amiss.length > 0 && (
              <div className={styles.override}>
                <p>
                  <b>{amiss.map((r) => r.name).join(', ')}.</b> {text.against}
                </p>
                <Field
                  text
                  label={text.overrideWhy}
                  path="override"
                  value={choice.override}
                  onChange={(override) => set({ ...choice, override })}
                />
              </div>
            )}
            <div>
              <b>{text.rule}</b>
              <p className="quiet">{text.ruleHint}</p>
              <Choosing
                label={text.rule}
                columns={1}
                value={choice.ruleKind}
                options={text.rules}
                path="rule_kind"
                onChange={(ruleKind) => set({ ...choice, ruleKind })}
              />
            </div>
            {choice.ruleKind === 'own' && <p className="quiet">{text.ownHint}</p>}
            {choice.ruleKind !== '' && (
              <Field
                text
                label={text.ruleWords}
                path="rule"
                value={choice.rule}
                onChange={(rule) => set({ ...choice, rule })}
              />
            )}
            <Field
              label={text.controls}
              path="controls"
              value={choice.controls ?? ''}
              hint={text.controlsHint(controls.figure ?? 0)}
              onChange={(v) => set({ ...choice, controls: v })}
            />
            <Field
              text
              label={text.jobName}
              placeholder={name}
              value={choice.name}
              onChange={(v) => set({ ...choice, name: v })}
            />
            <Said message={unread || 'rule' in saving.faults ? undefined : saving.message} />
            {keeper && (
              <Press
                big
                main
                says={saving.busy ? text.making : text.make}
                off={saving.busy || plans.isPending || choice.ruleKind === ''}
                onPress={() => choice.ruleKind !== '' && saving.save(choice.ruleKind)}
                data-make-job
              />
            )}
          </div>
        </Faults>
      )}
    </Docket>
  )
}

/** The days of several yards, each day once, in order. */
function merged(shares: readonly Schemas['JobShare'][]): Schemas['JobShare'][] {
  const days = new Map<string, Schemas['JobShare']>()
  for (const s of shares) {
    const so = days.get(s.day)
    days.set(s.day, {
      day: s.day,
      minutes: s.minutes + (so?.minutes ?? 0),
      colonies: [...(so?.colonies ?? []), ...s.colonies],
    })
  }
  return [...days.values()].sort((a, b) => a.day.localeCompare(b.day))
}
