import { lazy, Suspense } from 'react'
import { client } from '../../api/client'
import { tenths } from '../../kit'
import { weighed } from '../../docket/Lines'
import { Frame } from '../Frame'
import type { Workplace } from '../workplace'
import { rowOf } from '../../hive/Hives'
import { useAnswer } from '../useAnswer'
import { useOwn } from '../useDraft'
import { DribbleCard } from './HiveCard'
import { DribbleDocket } from './Docket'
import { JarBand } from './Band'
import { Calibration } from './Calibration'
import { KEEPING, PANELS, type Device, type PowderKind } from './fields'
import { read } from './request'
import { DoseSteps } from './DoseSteps'
import { ShareAsked } from './ShareAsked'
import { text } from './text'

const CardEditor = lazy(() => import('./CardEditor'))

/** The Mix screen of the dribble. */
export function DribbleMix(workplace: Workplace) {
  const { draft, changeDraft } = workplace
  const own = draft.dribble
  const change = useOwn(changeDraft, 'dribble')
  const reading = read(draft)
  const asked = useAnswer('dribble', reading, (body, signal) =>
    client.POST('/api/dribble/plan', { body, signal }),
  )
  const plan = asked.answer
  const acid = weighed(plan?.lines, 'acid')
  const bought = own['hold.kind'] === 'ready_to_use'
  const { mean } = reading.request
  const device = own['applicator.device'] as Device
  return (
    <Frame
      {...workplace}
      asked={asked}
      toSave={{ recipe: { dribble: reading.request } }}
      made={{ ml: plan?.volume_ml, acid: acid && text.acid(acid) }}
      panels={PANELS}
      keeping={KEEPING}
      typed={own}
      change={change}
      after={{
        [`${own['hold.kind'] as PowderKind}.share` as const]: <ShareAsked typed={own} change={change} />,
        'hold.volume_ml': bought && (
          <Suspense>
            <CardEditor label={draft.label} change={changeDraft} />
          </Suspense>
        ),
        'applicator.dead_ml': device !== 'syringe' && (
          <Calibration typed={own} change={change} strength={plan?.strength.g_per_l} />
        ),
      }}
      band={<JarBand typed={own} plan={plan} change={change} />}
      hives={
        own['size.by'] === 'count'
          ? {
              counted: {
                colonies: mean?.colonies,
                ...(mean && { seams: Math.round((4 * mean.seams) / mean.colonies) / 4 }),
                each: plan && mean && text.ml(tenths(plan.given_ml / mean.colonies)),
                hint: text.countOnly,
                children: plan && !bought && (
                  <DoseSteps
                    strength={plan.strength.g_per_l}
                    rule={reading.request.rule}
                    applicator={reading.request.applicator}
                  />
                ),
              },
            }
          : {
              rule: bought
                ? text.ruleByLabel
                : text.ruleOfDose(own['rule.full_seam_ml'] ?? '', own['rule.cap_ml'] ?? ''),
              hint: text.boardsHint,
              card: (of) => (
                <DribbleCard {...of} dose={rowOf(plan?.doses, of.at, of.colony)} device={device} />
              ),
            }
      }
      docket={plan && ((slip) => <DribbleDocket answer={plan} request={reading.request} slip={slip} />)}
    />
  )
}
