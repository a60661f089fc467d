import type { System } from '../kit/format'
import { rewriteTo } from '../kit/rewrite'
import type { Draft } from './draft'
import * as dribble from './dribble/draft'
import * as pad from './pad/draft'
import * as strip from './strip/draft'

/** Rewrites what was typed when the units change, so that 500 mL never becomes 500 fl oz. */
export function inUnits(draft: Draft, to: System): Draft {
  if (draft.units === to) return draft
  const again = rewriteTo[to]
  return {
    ...draft,
    units: to,
    dribble: dribble.inUnits(draft.dribble, again),
    strip: strip.inUnits(draft.strip, again),
    pad: pad.inUnits(draft.pad, again),
  }
}
