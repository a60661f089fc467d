import { client } from '../../api/client'
import { fixed, mass } from '../../kit/format'
import { Entries, Panels } from '../../kit/Panels'
import { Frame, type Workplace } from '../Frame'
import { Hives, NoBoards, rowOf } from '../../hive/Hives'
import { heedOf } from '../Heed'
import { useAnswer } from '../useAnswer'
import { useOwn } from '../useDraft'
import { BottleBand } from './Band'
import { PadCard } from './HiveCard'
import { PadDocket } from './Docket'
import { KEEPING, PANELS, ready, type Answer, type From } from './fields'
import { read } from './request'
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
  const protocol = usePadProtocol(own['amount.protocol'] ?? '')
  const bought = ready(own)
  return (
    <Frame
      {...workplace}
      asked={asked}
      toSave={{ recipe: { pad: reading.request } }}
      made={{
        ml: plan?.dilution?.working_ml,
        figure: plan && bought ? text.pads(plan.visit_pads) : undefined,
        acid: plan && acid(plan),
      }}
      notes={plan?.notes}
      panels={
        <Panels
          of={PANELS}
          typed={own}
          change={changeOwn}
          placeholders={
            protocol && {
              'amount.visits': usual(protocol.visits),
              'amount.days_apart': usual(protocol.days_apart),
            }
          }
        />
      }
      keeping={<Entries of={KEEPING} typed={own} change={changeOwn} />}
      band={<BottleBand typed={own} plan={plan} change={changeOwn} />}
      hives={
        own.hives === 'counted' ? (
          <NoBoards words={text.countOnly} />
        ) : (
          <Hives
            draft={draft}
            change={change}
            rule={bought ? (own['hold.card.name'] ?? '') : ruleOf(protocol)}
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
      docket={plan && ((slip) => <PadDocket answer={plan} request={reading.request} slip={slip} />)}
    />
  )
}

/** What an empty field of a course goes by. */
const usual = (figure: number | undefined) => (figure === undefined ? text.once : fixed(figure, 0))

function acid(plan: Answer): string {
  const line = plan.lines.find((l) => l.step === 'stock')
  return line?.show_g === undefined ? '' : text.stockIn(mass(line.show_g, line.band_g ?? 1).value)
}
