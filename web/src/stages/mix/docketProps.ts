/** What the docket of each method is drawn from. */
export interface DocketProps<Request, Answer> {
  answer: Answer
  request: Request
  place: string
  /** The rule worked under, as the keeper wrote it. */
  rule: string
  when: string
  busy?: boolean
}
