import type { Schemas } from '../api/client'
import type { Slip } from '../docket/PlanDocket'
import { clock, day } from '../kit'

/** What the docket of each method is drawn from. */
export interface DocketProps<Request, Answer> {
  answer: Answer
  request: Request
  slip: Slip
}

/** The slip of a saved batch. */
export const savedSlip = (batch: Schemas['Batch']): Slip => ({
  place: batch.name,
  rule: batch.rule_worked_under ?? '',
  when: `${day(batch.made_on)} ${clock(batch.made_on)}`,
})
