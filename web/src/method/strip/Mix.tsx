import { client } from '../../api/client'
import { Choice } from '../../kit/Choice'
import { mass, plain } from '../../kit/format'
import { BalancePanel } from '../BalancePanel'
import { Frame, type Workplace } from '../Frame'
import { Hives, NoBoards, rowOf } from '../../hive/Hives'
import { heedOf } from '../Heed'
import { useAnswer } from '../useAnswer'
import { useOwn } from '../useDraft'
import { CarriedPanel } from './CarriedPanel'
import type { StripDraft } from './draft'
import { CarrierPanel, NumberPanel } from './PiecesPanel'
import { RecipePanel } from './RecipePanel'
import { Prices, SizePanel, VesselPanel } from './SizePanel'
import { PotBand } from './Band'
import { read, type Answer } from './request'
import { StripCard } from './HiveCard'
import { StripDocket } from './Docket'
import { text } from './text'

/** The Mix screen of the strips. */
export default function StripMix(workplace: Workplace) {
  const { draft, change } = workplace
  const own = draft.strip
  const changeOwn = useOwn(change, 'strip')
  const reading = read(draft)
  const asked = useAnswer('strip', reading, (body, signal) =>
    client.POST('/api/strip/plan', { body, signal }),
  )
  const plan = asked.answer
  return (
    <Frame
      {...workplace}
      asked={asked}
      kept={{ recipe: { strip: reading.request }, parent_id: parentOf(own) }}
      made={{
        ml: plan?.liquor.volume_ml,
        figure: plan && text.count(plan.strips, own.carrier),
        acid: plan && acid(plan),
      }}
      notes={plan?.notes}
      panels={
        <>
          <RecipePanel draft={own} change={changeOwn} />
          <CarrierPanel draft={own} change={changeOwn} />
          <NumberPanel draft={own} change={changeOwn} />
          <SizePanel draft={own} change={changeOwn} />
          <CarriedPanel draft={own} change={changeOwn} />
          <VesselPanel draft={own} change={changeOwn} />
          <BalancePanel draft={draft} change={change}>
            <Prices draft={own} change={changeOwn} />
          </BalancePanel>
        </>
      }
      band={<PotBand draft={own} plan={plan} change={changeOwn} />}
      hives={
        own.size.by === 'count' ? (
          <NoBoards words={text.countOnly} />
        ) : (
          <Hives
            draft={draft}
            change={change}
            rule={plan ? ruleOf(plan.number) : ''}
            hint={
              <>
                <Choice
                  label={text.marks}
                  value={own.marks}
                  options={text.marksKinds}
                  columns={3}
                  onChange={(marks) => changeOwn((d) => void (d.marks = marks))}
                />
                {text.marksOf[own.marks]}
              </>
            }
            card={(colony, i) => (
              <StripCard
                key={colony.key}
                colony={colony}
                at={i}
                row={rowOf(plan?.colonies, i, colony)}
                carrier={own.carrier}
                marks={own.marks}
                heed={heedOf(plan?.notes, colony.name)}
                change={change}
              />
            )}
          />
        )
      }
      docket={plan && ((slip) => <StripDocket answer={plan} request={reading.request} {...slip} />)}
    />
  )
}

/** The batch that what is carried comes from. */
const parentOf = ({ carried }: StripDraft) => (carried.grams && carried.parent ? carried.parent : undefined)

const ruleOf = (n: Answer['number']) =>
  n.by === 'bees' ? text.rule.bees(plain(n.frames ?? 0), n.most_per_box ?? 0) : text.rule[n.by](n.each ?? 0)

function acid(plan: Answer): string {
  const line = plan.lines.find((l) => l.step === 'acid')
  return line?.show_g === undefined ? '' : text.acidIn(mass(line.show_g, line.band_g ?? 1).value)
}
