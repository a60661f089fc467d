import { client } from '../../api/client'
import { Choice } from '../../kit/Choice'
import { mass, plain } from '../../kit/format'
import { Entries, Panels } from '../../kit/Panels'
import { Frame, type Workplace } from '../Frame'
import { Hives, NoBoards, rowOf } from '../../hive/Hives'
import { heedOf } from '../Heed'
import { useAnswer } from '../useAnswer'
import { useOwn } from '../useDraft'
import { PotBand } from './Band'
import { CarriedFrom } from './CarriedFrom'
import { KEEPING, PANELS, type Answer, type Carrier, type Marks } from './fields'
import { Learnt } from './Learnt'
import { read } from './request'
import { StripCard } from './HiveCard'
import { StripDocket } from './Docket'
import { text } from './text'

/** The Mix screen of the strips. */
export default function StripMix(workplace: Workplace) {
  const { draft, change } = workplace
  const own = draft.strip
  const changeOwn = useOwn(change, 'strip')
  const carrier = own.carrier as Carrier
  const marks = own.marks as Marks
  const reading = read(draft)
  const asked = useAnswer('strip', reading, (body, signal) =>
    client.POST('/api/strip/plan', { body, signal }),
  )
  const plan = asked.answer
  return (
    <Frame
      {...workplace}
      asked={asked}
      toSave={{
        recipe: { strip: reading.request },
        parent_id: own['carried.grams'] && own.parent ? own.parent : undefined,
      }}
      made={{
        ml: plan?.liquor.volume_ml,
        figure: plan && text.count(plan.strips, carrier),
        acid: plan && acid(plan),
      }}
      notes={plan?.notes}
      panels={
        <Panels
          of={PANELS}
          typed={own}
          change={changeOwn}
          before={{ 'carried.grams': <CarriedFrom typed={own} change={changeOwn} /> }}
          after={{ [`uptake.${carrier}` as const]: <Learnt typed={own} change={changeOwn} /> }}
        />
      }
      keeping={<Entries of={KEEPING} typed={own} change={changeOwn} />}
      band={<PotBand typed={own} plan={plan} change={changeOwn} />}
      hives={
        own['size.by'] === 'count' ? (
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
                  value={marks}
                  options={text.marksKinds}
                  columns={3}
                  onChange={(to) => changeOwn((t) => void (t.marks = to))}
                />
                {text.marksOf[marks]}
              </>
            }
            card={(colony, i) => (
              <StripCard
                key={colony.key}
                colony={colony}
                at={i}
                row={rowOf(plan?.colonies, i, colony)}
                carrier={carrier}
                marks={marks}
                heed={heedOf(plan?.notes, colony.name)}
                change={change}
              />
            )}
          />
        )
      }
      docket={plan && ((slip) => <StripDocket answer={plan} request={reading.request} slip={slip} />)}
    />
  )
}

const ruleOf = (n: Answer['number']) =>
  n.by === 'bees' ? text.rule.bees(plain(n.frames ?? 0), n.most_per_box) : text.rule[n.by](n.each ?? 0)

function acid(plan: Answer): string {
  const line = plan.lines.find((l) => l.step === 'acid')
  return line?.show_g === undefined ? '' : text.acidIn(mass(line.show_g, line.band_g ?? 1).value)
}
