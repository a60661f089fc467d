import { type Method, METHODS } from './facts'
import type { Schemas } from '../api/client'
import type { System } from '../kit/format'
import * as dribble from './dribble/draft'
import { newColony, type DraftColony } from '../hive/hive'
import { adoptColonies } from '../hive/request'
import type { Edit } from '../kit/edit'
import { given, typed } from '../kit/reader'
import * as pad from './pad/draft'
import * as strip from './strip/draft'

/**
 * A plan as it is being typed: every figure is the text that was typed, so that
 * nothing is lost by an error or a reload. The methods share the hives, the
 * balance and the names; each has a part of its own, kept while another is used.
 */
export interface Draft {
  version: 2
  method: Method
  /** The units in which volumes and temperatures are typed. */
  units: System
  place: string
  rule: string
  /** What the batch shall be called; empty for the place and day. */
  batchName: string
  colonies: DraftColony[]
  balance: string
  capacity: string
  dribble: dribble.DribbleDraft
  strip: strip.StripDraft
  pad: pad.PadDraft
}

export type Change<T = Draft> = Edit<T>

export const emptyDraft = (): Draft => ({
  version: 2,
  method: METHODS[0]!,
  units: 'metric',
  place: '',
  rule: '',
  batchName: '',
  colonies: [newColony('single10', '1')],
  balance: '0.1',
  capacity: '',
  dribble: dribble.empty(),
  strip: strip.empty(),
  pad: pad.empty(),
})

/** A draft from a kept or offered recipe, in metric units. */
export function adopt(recipe: Schemas['Recipe'], place: string, rule = ''): Draft {
  const d = { ...emptyDraft(), place, rule }
  d.method = METHODS.find((m) => recipe[m]) ?? d.method
  const shared = recipe[d.method]
  d.colonies = adoptColonies(shared?.colonies)
  d.balance = given(shared?.balance_g, '0.1')
  d.capacity = typed(shared?.balance_capacity_g)
  if (recipe.dribble) d.dribble = dribble.adopt(recipe.dribble)
  if (recipe.strip) d.strip = strip.adopt(recipe.strip)
  if (recipe.pad) d.pad = pad.adopt(recipe.pad)
  return d
}
