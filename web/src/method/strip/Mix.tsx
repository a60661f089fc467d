import { client } from '../../api/client'
import { Choice, plain } from '../../kit'
import { weighed } from '../../docket/Lines'
import { Frame } from '../Frame'
import type { Workplace } from '../workplace'
import { rowOf } from '../../hive/Hives'
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
  const { draft, changeDraft } = workplace
  const own = draft.strip
  const change = useOwn(changeDraft, 'strip')
  const carrier = own.carrier as Carrier
  const marks = own.marks as Marks
  const reading = read(draft)
  const asked = useAnswer('strip', reading, (body, signal) =>
    client.POST('/api/strip/plan', { body, signal }),
  )
  const plan = asked.answer
  const { each } = reading.request.size
  const acid = weighed(plan?.lines, 'acid')
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
        acid: acid && text.acidIn(acid),
      }}
      panels={PANELS}
      keeping={KEEPING}
      typed={own}
      change={change}
      before={{ 'carried.grams': <CarriedFrom typed={own} change={change} /> }}
      after={{ [`uptake.${carrier}` as const]: <Learnt typed={own} change={change} /> }}
      band={<PotBand typed={own} plan={plan} change={change} />}
      hives={
        own['size.by'] === 'count'
          ? {
              counted: {
                colonies: reading.request.size.colonies,
                each: each ? text.count(each, carrier) : undefined,
                hint: text.countOnly,
              },
            }
          : {
              rule: plan ? ruleOf(plan.number) : '',
              hint: (
                <>
                  <Choice
                    label={text.marks}
                    value={marks}
                    options={text.marksKinds}
                    columns={3}
                    onChange={(to) => change((t) => void (t.marks = to))}
                  />
                  {text.marksOf[marks]}
                </>
              ),
              card: (of) => (
                <StripCard
                  {...of}
                  row={rowOf(plan?.colonies, of.at, of.colony)}
                  carrier={carrier}
                  marks={marks}
                />
              ),
            }
      }
      docket={plan && ((slip) => <StripDocket answer={plan} request={reading.request} slip={slip} />)}
    />
  )
}

const ruleOf = (n: Answer['number']) =>
  n.by === 'bees' ? text.rule.bees(plain(n.frames ?? 0), n.most_per_box ?? 0) : text.rule[n.by](n.each ?? 0)
