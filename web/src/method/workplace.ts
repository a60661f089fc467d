import type { Schemas } from '../api/client'
import type { Change, Draft } from './draft'

/** What a method's screen is given: the draft, and how to change it. */
export interface Workplace {
  start: Schemas['Start']
  draft: Draft
  changeDraft: Change
  replace: (draft: Draft) => void
}
