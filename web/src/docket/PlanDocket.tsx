import type { Schemas } from '../api/client'
import { price } from '../kit'
import { Advice, Docket, Totals, type TotalOf } from './Docket'
import { Lines, type StepWords } from './Lines'
import { Asides, Minding, Warnings, type MindingProps } from './Minding'
import { GivingTable, Sheet, type TableProps } from './Sheet'
import { text } from './text'

/** What stands on every docket besides its figures. */
export interface Slip {
  place: string
  /** The rule worked under, as the keeper wrote it. */
  rule: string
  when: string
  busy?: boolean
}

/** What every method answers of a plan. */
interface Plan extends Pick<Schemas['DribbleAnswer'], 'lines' | 'notes' | 'give_gear' | 'neutralise'> {
  cost?: Schemas['Cost']
}

interface Props extends Omit<TableProps, 'gear'> {
  slip: Slip
  title: string
  sub: string
  plan: Plan
  steps: StepWords
  pieces?: string
  totals: readonly (TotalOf | false | undefined)[]
  /** What is done after the weighing, and how it is given. */
  then?: { title: string; lines: readonly string[] }
  how?: readonly string[]
  minding: Omit<MindingProps, 'neutralise'>
}

/** What to weigh, in what order, and who gets what: on the screen, on paper and in a saved batch. */
export function PlanDocket({
  slip,
  title,
  sub,
  plan,
  steps,
  pieces,
  totals,
  then,
  how,
  minding,
  ...giving
}: Props) {
  const { cost } = plan
  return (
    <Docket title={title} sub={sub} origin={text.origin(slip.place, slip.when)} busy={slip.busy}>
      <Sheet
        weighing={
          <>
            <Warnings notes={plan.notes} />
            <Lines lines={plan.lines} words={steps} pieces={pieces} />
            <Totals
              of={[
                ...totals,
                cost && [text.cost, price(cost.total)],
                cost && cost.per_colony > 0 && [text.costColony, price(cost.per_colony)],
              ]}
            />
            {then && <Advice {...then} />}
          </>
        }
        giving={
          <>
            <GivingTable gear={plan.give_gear} {...giving} />
            {how && <Advice title={text.giving} lines={how} />}
            <Asides notes={plan.notes} />
          </>
        }
        minding={<Minding neutralise={plan.neutralise} {...minding} />}
      />
    </Docket>
  )
}
