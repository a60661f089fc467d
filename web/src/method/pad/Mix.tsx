import { client } from '../../api/client'
import { weighed } from '../../docket/Lines'
import { fixed, plain } from '../../kit'
import { Frame } from '../Frame'
import type { Workplace } from '../workplace'
import { rowOf } from '../../hive/Hives'
import { useAnswer } from '../useAnswer'
import { useOwn } from '../useDraft'
import { BottleBand } from './Band'
import { PadCard } from './HiveCard'
import { PadDocket } from './Docket'
import { KEEPING, PANELS, ready, type From } from './fields'
import { read } from './request'
import { ruleOf, usePadProtocol } from './protocols'
import { text } from './text'

/** The Mix screen of formic acid and its pads. */
export default function PadMix(workplace: Workplace) {
  const { draft, changeDraft } = workplace
  const own = draft.pad
  const change = useOwn(changeDraft, 'pad')
  const reading = read(draft)
  const asked = useAnswer('pad', reading, (body, signal) => client.POST('/api/pad/plan', { body, signal }))
  const plan = asked.answer
  const stock = weighed(plan?.lines, 'stock')
  const protocol = usePadProtocol(own['amount.protocol'] ?? '')
  const bought = ready(own)
  const { mean } = reading.request
  const one = plan?.given[0]
  return (
    <Frame
      {...workplace}
      asked={asked}
      toSave={{ recipe: { pad: reading.request } }}
      made={{
        ml: plan?.dilution?.working_ml,
        figure: plan && bought ? text.pads(plan.visit_pads) : undefined,
        acid: stock && text.stockIn(stock),
      }}
      panels={PANELS}
      keeping={KEEPING}
      typed={own}
      change={change}
      placeholders={
        protocol && {
          'amount.visits': usual(protocol.visits),
          'amount.days_apart': usual(protocol.days_apart),
        }
      }
      band={<BottleBand typed={own} plan={plan} change={change} />}
      hives={
        own.hives === 'counted'
          ? {
              counted: {
                colonies: mean?.colonies,
                boxes: mean?.boxes ?? 1,
                each: one && (one.ml ? text.mL(plain(one.ml)) : text.pads(one.pads ?? 0)),
                hint: text.countOnly,
              },
            }
          : {
              rule: bought ? (own['hold.card.name'] ?? '') : ruleOf(protocol),
              hint: text.hint,
              card: (of) => (
                <PadCard
                  {...of}
                  row={rowOf(plan?.given, of.at, of.colony)}
                  from={(plan?.from ?? 'above') as From}
                />
              ),
            }
      }
      docket={plan && ((slip) => <PadDocket answer={plan} request={reading.request} slip={slip} />)}
    />
  )
}

/** What an empty field of a course goes by. */
const usual = (figure: number | undefined) => (figure === undefined ? text.once : fixed(figure, 0))
