import { useQuery } from '@tanstack/react-query'
import { client, data } from '../../api/client'
import { Ladder } from '../../drawing/Ladder'
import { Vessel } from '../../drawing/Vessel'
import { plain, tenths, three, volume } from '../../kit/format'
import { useUnits } from '../../kit/units'
import type { Change } from '../draft'
import styles from '../method.module.css'
import type { PadDraft } from './draft'
import type { Answer, Request } from './request'
import { text } from './text'

interface Props {
  draft: PadDraft
  request: Request
  plan: Answer | undefined
  change: Change<PadDraft>
}

/** The bottle filled with working acid, and the ladder of strengths beside it. */
export function BottleBand({ draft, request, plan, change }: Props) {
  const { system } = useUnits()
  const strengths = useQuery({
    queryKey: ['strengths', 'pad'],
    queryFn: ({ signal }) => data(client.GET('/api/pad/strengths', { signal })),
    staleTime: Infinity,
  })
  const ready = draft.hold.kind === 'ready_pads'
  const ml = plan?.dilution?.working_ml ?? 0
  const made = plan?.dilution
    ? volume(ml, system)
    : { value: ready ? String(plan?.visit_pads ?? '–') : '–', unit: '' }
  const rungs = (strengths.data ?? []).map((s) => ({
    id: String(s.percent),
    name: text.rungs[s.id] ?? s.id,
    at: s.percent,
  }))
  return (
    <div className={styles.band}>
      <Vessel
        kind={ready ? 'packet' : 'bottle'}
        volume={ml}
        taken={plan ? plan.visit_ml * Math.max(plan.visits, ml > 0 ? 1 : 0) : 0}
        figure={made.value}
        unit={ready ? text.pads(plan?.visit_pads ?? 0).replace(/^\d+ /, '') : made.unit}
      />
      <div className={styles.legend}>
        {plan && <Legend plan={plan} bottle={volume(request.bottle_ml ?? 1000, system)} ready={ready} />}
      </div>
      {rungs.length > 0 && !ready && (
        <Ladder
          rungs={rungs}
          unit="%"
          fill="bottle"
          at={plan?.working_percent}
          chosen={draft.working}
          onChoose={(id) => change((d) => void (d.working = id))}
        />
      )}
    </div>
  )
}

function Legend({
  plan,
  bottle,
  ready,
}: {
  plan: Answer
  bottle: { value: string; unit: string }
  ready: boolean
}) {
  const { course } = plan
  return (
    <>
      <p>
        <b>{ready ? text.pads(plan.visit_pads) : text.mL(plain(plan.visit_ml))}</b> {text.bottleVisit}
      </p>
      <p>
        <b>{three(plan.visit_formic_g)} g</b> {text.acidPure}
      </p>
      {!ready && plan.stock_off_percent ? (
        <p className={styles.harm}>
          {text.read(tenths(plan.stock_percent ?? 0), tenths(plan.stock_off_percent))}
        </p>
      ) : null}
      <p className="quiet">{text.bottleCourse(course.visits, course.days)}</p>
      {course.bottles ? (
        <p className="quiet">{text.buy(course.bottles, `${bottle.value} ${bottle.unit}`)}</p>
      ) : (
        <p className="quiet">{ready && text.padsAll(course.pads ?? 0)}</p>
      )}
    </>
  )
}
