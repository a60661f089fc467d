import { client } from '../../api/client'
import { mass } from '../../kit/format'
import { BalancePanel } from '../BalancePanel'
import { Frame, type Workplace } from '../Frame'
import { Hives, NoBoards, rowOf } from '../../hive/Hives'
import { heedOf } from '../Heed'
import { useAnswer } from '../useAnswer'
import { useOwn } from '../useDraft'
import { BottleBand } from './Band'
import type { From } from './draft'
import { PadCard } from './HiveCard'
import { PadDocket } from './Docket'
import { AmountPanel, WorkingPanel } from './AmountPanel'
import { HoldPanel } from './HoldPanel'
import { Buying, HivesPanel, SheetPanel, SizePanel } from './SizePanel'
import { read, type Answer } from './request'
import { ruleOf, usePadProtocol } from './protocols'
import { text } from './text'

/** The Mix screen of formic acid and its pads. */
export default function PadMix(workplace: Workplace) {
  const { draft, change } = workplace
  const own = draft.pad
  const changeOwn = useOwn(change, 'pad')
  const reading = read(draft)
  const asked = useAnswer('pad', reading, (body, signal) => client.POST('/api/pad/plan', { body, signal }))
  const plan = asked.answer
  const protocol = usePadProtocol(own.amount.by)
  const ready = own.hold.kind === 'ready_pads'
  return (
    <Frame
      {...workplace}
      asked={asked}
      kept={{ recipe: { pad: reading.request } }}
      made={{
        ml: plan?.dilution?.working_ml,
        figure: plan && ready ? text.pads(plan.visit_pads) : undefined,
        acid: plan && acid(plan),
      }}
      notes={plan?.notes}
      panels={
        <>
          <HoldPanel draft={own} change={changeOwn} />
          {!ready && (
            <>
              <WorkingPanel draft={own} change={changeOwn} />
              <AmountPanel draft={own} change={changeOwn} />
              <SizePanel draft={own} change={changeOwn} />
            </>
          )}
          <HivesPanel draft={own} change={changeOwn} />
          {!ready && <SheetPanel draft={own} change={changeOwn} />}
          <BalancePanel draft={draft} change={change}>
            <Buying draft={own} change={changeOwn} />
          </BalancePanel>
        </>
      }
      band={<BottleBand draft={own} request={reading.request} plan={plan} change={changeOwn} />}
      hives={
        own.hives === 'counted' ? (
          <NoBoards words={text.countOnly} />
        ) : (
          <Hives
            draft={draft}
            change={change}
            rule={ready ? own.hold.card.name : ruleOf(protocol)}
            hint={text.hint}
            card={(colony, i) => (
              <PadCard
                key={colony.key}
                colony={colony}
                at={i}
                row={rowOf(plan?.given, i, colony)}
                from={(plan?.from ?? 'above') as From}
                heed={heedOf(plan?.notes, colony.name)}
                change={change}
              />
            )}
          />
        )
      }
      docket={plan && ((slip) => <PadDocket answer={plan} request={reading.request} {...slip} />)}
    />
  )
}

function acid(plan: Answer): string {
  const line = plan.lines.find((l) => l.step === 'stock')
  return line?.show_g === undefined ? '' : text.stockIn(mass(line.show_g, line.band_g ?? 1).value)
}
