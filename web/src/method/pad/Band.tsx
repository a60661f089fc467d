import { client, data } from '../../api/client'
import { plain, tenths, three, volume } from '../../kit'
import { Band, useRungs } from '../Band'
import type { Change } from '../draft'
import styles from '../method.module.css'
import { ready, type Answer, type PadTyped } from './fields'
import { text } from './text'

interface Props {
  typed: PadTyped
  plan: Answer | undefined
  change: Change<PadTyped>
}

/** The bottle filled with working acid, and the ladder of strengths beside it. */
export function BottleBand({ typed, plan, change }: Props) {
  const bought = ready(typed)
  const rungs = useRungs(
    ['strengths', 'pad'],
    (signal) => data(client.GET('/api/pad/strengths', { signal })),
    (s) => ({ id: String(s.percent), name: text.rungs[s.id] ?? s.id, at: s.percent }),
  )
  const pads = plan?.visit_pads ?? 0
  return (
    <Band
      vessel={{
        kind: bought ? 'packet' : 'bottle',
        ml: plan?.dilution?.working_ml,
        taken: plan ? plan.visit_ml * Math.max(plan.visits, plan.dilution ? 1 : 0) : 0,
        figure: bought
          ? { value: plan ? String(pads) : '–', unit: text.pads(pads).replace(/^\d+ /, '') }
          : undefined,
      }}
      legend={plan && <Legend plan={plan} bottle={volume(plan.course.bottle_ml ?? 0)} bought={bought} />}
      rungs={rungs}
      ladder={
        bought
          ? undefined
          : {
              unit: '%',
              fill: 'bottle',
              at: plan?.working_percent,
              chosen: typed.working_percent,
              onChoose: (id) => change((t) => void (t.working_percent = id)),
            }
      }
    />
  )
}

function Legend({
  plan,
  bottle,
  bought,
}: {
  plan: Answer
  bottle: { value: string; unit: string }
  bought: boolean
}) {
  const { course } = plan
  return (
    <>
      <p>
        <b>{bought ? text.pads(plan.visit_pads) : text.mL(plain(plan.visit_ml))}</b> {text.bottleVisit}
      </p>
      <p>
        <b>{three(plan.visit_formic_g)} g</b> {text.acidPure}
      </p>
      {!bought && plan.stock_off_percent ? (
        <p className={styles.harm}>
          {text.read(tenths(plan.stock_percent ?? 0), tenths(plan.stock_off_percent))}
        </p>
      ) : null}
      <p className="quiet">{text.bottleCourse(course.visits, course.days)}</p>
      {course.bottles ? (
        <p className="quiet">{text.buy(course.bottles, `${bottle.value} ${bottle.unit}`)}</p>
      ) : (
        <p className="quiet">{bought && text.padsAll(course.pads ?? 0)}</p>
      )}
    </>
  )
}
