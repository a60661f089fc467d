import type { Schemas } from '../api/client'
import { text } from './text'

/** That there is more to come than what is shown. */
export const SoFar = ({ of, jobs }: { of: Schemas['SoFar'] | undefined; jobs?: boolean }) =>
  of && (
    <strong role="status" data-so-far>
      {(jobs ? text.jobsSoFar : text.yardsSoFar)(of.shown, of.of)}
    </strong>
  )
