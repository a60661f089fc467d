import { client } from '../../api/client'
import { mass } from '../../kit/format'
import { BalancePanel } from '../BalancePanel'
import { Frame, type Workplace } from '../Frame'
import { Hives, NoBoards, rowOf } from '../../hive/Hives'
import { heedOf } from '../Heed'
import { useAnswer } from '../useAnswer'
import { useOwn } from '../useDraft'
import { ApplicatorPanel } from './ApplicatorPanel'
import { DosingPanel, KeepingFields } from './DosingPanel'
import { DribbleCard } from './HiveCard'
import { DribbleDocket } from './Docket'
import { HoldPanel } from './HoldPanel'
import { JarBand } from './Band'
import { read, type Answer } from './request'
import { SizePanel } from './SizePanel'
import { StrengthPanel } from './StrengthPanel'
import { text } from './text'

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
  const bought = own.hold.kind === 'ready_to_use'
  return (
    <Frame
      {...workplace}
      asked={asked}
      kept={{ recipe: { dribble: reading.request } }}
      made={{ ml: plan?.volume_ml, acid: plan && acid(plan) }}
      notes={plan?.notes}
      panels={
        <>
          <HoldPanel draft={own} change={changeOwn} />
          {!bought && <StrengthPanel draft={own} change={changeOwn} />}
          <SizePanel draft={own} change={changeOwn} />
          <ApplicatorPanel draft={own} change={changeOwn} strength={plan?.strength.g_per_l} />
          {!bought && <DosingPanel draft={own} change={changeOwn} />}
          <BalancePanel draft={draft} change={change}>
            <KeepingFields draft={own} change={changeOwn} />
          </BalancePanel>
        </>
      }
      band={<JarBand draft={own} plan={plan} change={changeOwn} />}
      hives={
        own.size.by === 'count' ? (
          <NoBoards words={text.countOnly} />
        ) : (
          <Hives
            draft={draft}
            change={change}
            rule={bought ? text.ruleByLabel : text.ruleOfDose(own.dosing.perSeam, own.dosing.cap)}
            hint={text.boardsHint}
            card={(colony, i) => (
              <DribbleCard
                key={colony.key}
                colony={colony}
                at={i}
                dose={rowOf(plan?.doses, i, colony)}
                device={own.applicator.device}
                heed={heedOf(plan?.notes, colony.name)}
                change={change}
              />
            )}
          />
        )
      }
      docket={plan && ((slip) => <DribbleDocket answer={plan} request={reading.request} {...slip} />)}
    />
  )
}

function acid(plan: Answer): string {
  const line = plan.lines.find((l) => l.step === 'acid')
  return line?.show_g === undefined ? '' : text.acid(mass(line.show_g, line.band_g ?? 1).value)
}
