import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { FACTS, METHODS } from '../../method/facts'
import {
  ask,
  cardsQuery,
  Choice,
  date,
  Faults,
  may,
  Pick,
  PickDay,
  plain,
  Press,
  price,
  three,
  useStart,
} from '../../kit'
import { PlanJobs } from './PlanJobs'
import { nameOf } from './PlanTakes'
import styles from './Planning.module.css'
import { colourOf, MOST_PLANS, MOST_STEPS, NOTHING, type Plan, type Planner } from './planner'
import { text } from './text'

type Comes = Schemas['PlanComes']

/** The plans side by side: their treatments, and what each comes to. */
export function Planning({ colony, planner }: { colony: Schemas['ColonyWhole']; planner: Planner }) {
  const { plans, come } = planner
  const room = plans.length < MOST_PLANS
  return (
    <Faults value={planner.faults}>
      <p className="quiet">{text.plansHint}</p>
      <p>{text.gear}</p>
      <div className={styles.plans} data-plans>
        <section className={styles.plan} style={{ borderColor: NOTHING }}>
          <h3>{text.ifNothing}</h3>
          {come.data && <Figures of={come.data.plans[0]!} />}
        </section>
        {plans.map((plan, i) => (
          <One key={plan.id} colony={colony} plan={plan} at={i} planner={planner} />
        ))}
      </div>
      {room && <Offers colony={colony.id} planner={planner} />}
    </Faults>
  )
}

interface OneProps {
  colony: Schemas['ColonyWhole']
  plan: Plan
  at: number
  planner: Planner
}

function One({ colony, plan, at, planner }: OneProps) {
  const role = useStart().me?.role
  const cards = useQuery(cardsQuery)
  const [making, setMaking] = useState(false)
  const name = planner.nameOf(at)
  const comes = planner.come.data?.plans[at + 1]
  const options = {
    ...Object.fromEntries(
      METHODS.flatMap((m) => FACTS[m].protocols.filter((p) => p !== '')).map((p) => [
        p,
        text.treatments[p] ?? p,
      ]),
    ),
    ...Object.fromEntries((cards.data?.cards ?? []).map((c) => [`card:${c.id}`, c.name])),
  }
  return (
    <section className={styles.plan} style={{ borderColor: colourOf(at) }} data-plan={name}>
      <h3 style={{ color: colourOf(at) }}>{name}</h3>
      {plan.steps.length === 0 && <p className="quiet">{text.nothingYet}</p>}
      <ol className={styles.steps}>
        {plan.steps.map((s, j) => {
          const what = options[s.under] ?? s.under
          const told = comes?.steps.find((t) => t.under === s.under && t.on === s.on)
          return (
            <li key={s.id}>
              <PickDay
                label={text.on(what)}
                value={s.on}
                path={`plans[${at + 1}].steps[${j}].on`}
                min={planner.today}
                max={planner.last}
                onChange={(on) => planner.move(plan.id, s.id, on)}
              />
              <Press
                small
                says={text.remove}
                aria-label={text.leave(what)}
                onPress={() => planner.leave(plan.id, s.id)}
              />
              {told && <Told of={told} />}
            </li>
          )
        })}
      </ol>
      {plan.steps.length < MOST_STEPS && (
        <Pick
          label={text.addTo(name)}
          value=""
          none={text.addOne}
          options={options}
          onChange={(under) => planner.treat(plan.id, under)}
        />
      )}
      {comes && <Figures of={comes} />}
      <div className={styles.actions}>
        {may(role, 'keeper') && plan.steps.length > 0 && !making && (
          <Press outlined says={text.makeJobs} onPress={() => setMaking(true)} data-make-jobs />
        )}
        <Press says={text.dropPlan(name)} onPress={() => planner.drop(plan.id)} />
      </div>
      {making && comes && (
        <PlanJobs colony={colony} name={name} comes={comes} onClose={() => setMaking(false)} />
      )}
    </section>
  )
}

/** What a treatment of a plan asks for, and what speaks against it. */
const Told = ({ of }: { of: Schemas['PlannedStep'] }) => (
  <div className={styles.told}>
    {[of.out && text.out(date(of.out)), of.off].filter(Boolean).join(' · ')}
    {of.against.map((why) => (
      <p key={why} className={styles.against} data-against>
        {why}
      </p>
    ))}
  </div>
)

/** What a plan comes to. */
const Figures = ({ of }: { of: Comes }) => (
  <dl className={styles.figures}>
    <dt>{text.mites}</dt>
    <dd>
      <b>{plain(Math.round(of.mites.middle))}</b>{' '}
      <small>{text.band(plain(Math.round(of.mites.low)), plain(Math.round(of.mites.high)))}</small>
    </dd>
    <dt>{text.visits}</dt>
    <dd data-visits={of.visits}>
      <b>{of.visits}</b>
    </dd>
    <dt>{text.acid}</dt>
    <dd>
      {[of.oxalic_g && text.oxalic(three(of.oxalic_g)), of.formic_g && text.formic(three(of.formic_g))]
        .filter(Boolean)
        .join(', ') || (of.steps.length > 0 ? text.acidUnknown : text.noAcid)}
    </dd>
    {of.steps.length > 0 && (
      <>
        <dt>{text.cost}</dt>
        <dd data-cost>{of.takes ? <Cost of={of.takes.hive} /> : '…'}</dd>
      </>
    )}
    {of.bears && <dd className={`${styles.chance} ${styles.against}`}>{of.bears}</dd>}
    <dd className={styles.chance}>{of.words}</dd>
  </dl>
)

const Cost = ({ of: { cost, unpriced } }: { of: Schemas['PlanTakes'] }) =>
  cost ? (
    <>
      {price(cost)} {unpriced.length > 0 && <small>{text.without(unpriced.map(nameOf).join(', '))}</small>}
    </>
  ) : (
    text.noPrice
  )

/** Plans that Keeler finds, to be put beside the others. */
function Offers({ colony, planner }: { colony: string; planner: Planner }) {
  const [level, setLevel] = useState<keyof typeof text.levels>(2)
  const [asked, setAsked] = useState(false)
  const offers = useQuery({
    ...ask(['colonies', colony, 'plans', level], '/api/colonies/{id}/plans', {
      path: { id: colony },
      query: { level },
    }),
    enabled: asked,
  })
  return (
    <div className={styles.offers}>
      <div className={styles.actions}>
        <Press outlined says={text.another} onPress={() => planner.add()} data-add-plan />
        {!asked && <Press main says={text.offers} onPress={() => setAsked(true)} data-offer />}
      </div>
      {asked && (
        <>
          <span>{text.level}</span>
          <Choice
            label={text.level}
            columns={3}
            value={`${level}`}
            options={text.levels}
            onChange={(v) => setLevel(Number(v) as keyof typeof text.levels)}
          />
          <p role="status" data-offered>
            {offers.data ? offers.data.words : offers.isError ? offers.error.message : text.offering}
          </p>
          <ul className={styles.list}>
            {offers.data?.offers.map((o) => (
              <li key={o.name} data-offer-of={o.name}>
                <b>{o.name}</b>
                <ol>
                  {o.steps.map((s, i) => (
                    <li key={s.under + s.on}>
                      {date(s.on)}: {text.treatments[s.under] ?? s.under}.{' '}
                      {s.why !== o.steps[i - 1]?.why && <span className="quiet">{s.why}</span>}
                    </li>
                  ))}
                </ol>
                <Press outlined says={text.take} onPress={() => planner.add(o.steps)} />
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  )
}
