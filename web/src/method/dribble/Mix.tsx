import { lazy, Suspense } from 'react'
import { client } from '../../api/client'
import { mass } from '../../kit/format'
import { Entries, Panels } from '../../kit/Panels'
import { Frame, type Workplace } from '../Frame'
import { Hives, NoBoards, rowOf } from '../../hive/Hives'
import { heedOf } from '../Heed'
import { useAnswer } from '../useAnswer'
import { useOwn } from '../useDraft'
import { DribbleCard } from './HiveCard'
import { DribbleDocket } from './Docket'
import { JarBand } from './Band'
import { Calibration } from './Calibration'
import { KEEPING, PANELS, type Answer, type Device, type PowderKind } from './fields'
import { read } from './request'
import { ShareAsked } from './ShareAsked'
import { text } from './text'

const CardEditor = lazy(() => import('./CardEditor'))

/** The Mix screen of the dribble. */
export function DribbleMix(workplace: Workplace) {
  const { draft, change } = workplace
  const own = draft.dribble
  const changeOwn = useOwn(change, 'dribble')
  const reading = read(draft)
  const asked = useAnswer('dribble', reading, (body, signal) =>
    client.POST('/api/dribble/plan', { body, signal }),
  )
  const plan = asked.answer
  const bought = own['hold.kind'] === 'ready_to_use'
  const device = own['applicator.device'] as Device
  return (
    <Frame
      {...workplace}
      asked={asked}
      toSave={{ recipe: { dribble: reading.request } }}
      made={{ ml: plan?.volume_ml, acid: plan && acid(plan) }}
      notes={plan?.notes}
      panels={
        <Panels
          of={PANELS}
          typed={own}
          change={changeOwn}
          after={{
            [`${own['hold.kind'] as PowderKind}.share` as const]: (
              <ShareAsked typed={own} change={changeOwn} />
            ),
            'hold.volume_ml': bought && (
              <Suspense>
                <CardEditor label={draft.label} change={change} />
              </Suspense>
            ),
            'applicator.dead_ml': device !== 'syringe' && (
              <Calibration typed={own} change={changeOwn} strength={plan?.strength.g_per_l} />
            ),
          }}
        />
      }
      keeping={<Entries of={KEEPING} typed={own} change={changeOwn} />}
      band={<JarBand typed={own} plan={plan} change={changeOwn} />}
      hives={
        own['size.by'] === 'count' ? (
          <NoBoards words={text.countOnly} />
        ) : (
          <Hives
            draft={draft}
            change={change}
            rule={
              bought
                ? text.ruleByLabel
                : text.ruleOfDose(own['rule.full_seam_ml'] ?? '', own['rule.cap_ml'] ?? '')
            }
            hint={text.boardsHint}
            card={(colony, i) => (
              <DribbleCard
                key={colony.key}
                colony={colony}
                at={i}
                dose={rowOf(plan?.doses, i, colony)}
                device={device}
                heed={heedOf(plan?.notes, colony.name)}
                change={change}
              />
            )}
          />
        )
      }
      docket={plan && ((slip) => <DribbleDocket answer={plan} request={reading.request} slip={slip} />)}
    />
  )
}

function acid(plan: Answer): string {
  const line = plan.lines.find((l) => l.step === 'acid')
  return line?.show_g === undefined ? '' : text.acid(mass(line.show_g, line.band_g ?? 1).value)
}
