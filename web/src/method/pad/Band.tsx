import { useQuery } from '@tanstack/react-query'
import { client, data } from '../../api/client'
import { Ladder } from '../../drawing/Ladder'
import { Vessel } from '../../drawing/Vessel'
import { plain, tenths, three, volume } from '../../kit/format'
import { useUnits } from '../../kit/units'
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
  const { system } = useUnits()
  const strengths = useQuery({
    queryKey: ['strengths', 'pad'],
    queryFn: ({ signal }) => data(client.GET('/api/pad/strengths', { signal })),
    staleTime: Infinity,
  })
  const bought = ready(typed)
  const ml = plan?.dilution?.working_ml ?? 0
  const made = plan?.dilution
    ? volume(ml, system)
    : { value: bought ? String(plan?.visit_pads ?? '–') : '–', unit: '' }
  const rungs = (strengths.data ?? []).map((s) => ({
    id: String(s.percent),
    name: text.rungs[s.id] ?? s.id,
    at: s.percent,
  }))
  return (
    <div className={styles.band}>
      <Vessel
        kind={bought ? 'packet' : 'bottle'}
        volume={ml}
        taken={plan ? plan.visit_ml * Math.max(plan.visits, ml > 0 ? 1 : 0) : 0}
        figure={made.value}
        unit={bought ? text.pads(plan?.visit_pads ?? 0).replace(/^\d+ /, '') : made.unit}
      />
      <div className={styles.legend}>
        {plan && <Legend plan={plan} bottle={volume(plan.course.bottle_ml ?? 0, system)} bought={bought} />}
      </div>
      {rungs.length > 0 && !bought && (
        <Ladder
          rungs={rungs}
          unit="%"
          fill="bottle"
          at={plan?.working_percent}
          chosen={typed.working_percent}
          onChoose={(id) => change((t) => void (t.working_percent = id))}
        />
      )}
    </div>
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
