import type { Schemas } from '../api/client'
import { clock, day } from '../kit/day'

/** What stands on every docket besides its figures. */
export interface Slip {
  place: string
  /** The rule worked under, as the keeper wrote it. */
  rule: string
  when: string
  busy?: boolean
}

/** What the docket of each method is drawn from. */
export interface DocketProps<Request, Answer> extends Slip {
  answer: Answer
  request: Request
}

/** The slip of a saved batch. */
export const savedSlip = (batch: Schemas['Batch']): Slip => ({
  place: batch.name,
  rule: batch.rule_worked_under ?? '',
  when: `${day(batch.made_on)} ${clock(batch.made_on)}`,
})
