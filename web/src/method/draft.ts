import type { DraftColony } from '../hive/hive'
import { type Edit, type System } from '../kit'
import type { BalanceTyped } from './balance'
import type { DribbleTyped } from './dribble/fields'
import type { LabelTable } from './dribble/label'
import type { Method } from './kind'
import type { PadTyped } from './pad/fields'
import type { StripTyped } from './strip/fields'

/**
 * A plan as it is being typed: every figure is the text that was typed, so that
 * nothing is lost by an error or a reload. The methods share the hives, the
 * balance and the names; each has a form of its own, kept while another is used.
 */
export interface Draft {
  version: 4
  method: Method
  /** The units in which volumes and temperatures are typed. */
  units: System
  place: string
  rule: string
  /** What the batch shall be called; empty for the place and day. */
  batchName: string
  colonies: DraftColony[]
  /** The label of a ready-to-use solution. */
  label: LabelTable
  balance: BalanceTyped
  dribble: DribbleTyped
  strip: StripTyped
  pad: PadTyped
}

export type Change<T = Draft> = Edit<T>
