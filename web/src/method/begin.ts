import type { Schemas } from '../api/client'
import { newColony } from '../hive/hive'
import { adoptColonies } from '../hive/request'
import { type System } from '../kit'
import { BALANCE } from './balance'
import type { Draft } from './draft'
import { adoptLabel, blankLabel } from './dribble/label'
import * as dribble from './dribble/request'
import { METHODS } from './facts'
import * as form from '../kit/entries'
import * as pad from './pad/request'
import * as strip from './strip/request'

/** A plan that begins, with the usual figures of each method. */
export const emptyDraft = (usual: Schemas['Start']['usual']): Draft => ({
  version: 4,
  method: METHODS[0]!,
  units: 'metric',
  place: '',
  rule: '',
  batchName: '',
  colonies: [newColony('single10', '1')],
  label: blankLabel(),
  balance: form.begin([BALANCE], usual.dribble ?? {}),
  dribble: dribble.begin(usual.dribble ?? {}),
  strip: strip.begin(usual.strip ?? {}),
  pad: pad.begin(usual.pad ?? {}),
})

/** A draft from a kept or offered recipe, in metric units. */
export function adopt(
  recipe: Schemas['Recipe'],
  usual: Schemas['Start']['usual'],
  place: string,
  rule = '',
): Draft {
  const d = { ...emptyDraft(usual), place, rule }
  d.method = METHODS.find((m) => recipe[m]) ?? d.method
  const own = recipe[d.method]
  d.colonies = adoptColonies(own?.colonies)
  d.balance = form.adopt([BALANCE], own ?? {}, d.balance)
  if (recipe.dribble) d.dribble = dribble.adopt(recipe.dribble, d.dribble)
  if (recipe.dribble?.hold.card) d.label = adoptLabel(recipe.dribble.hold.card)
  if (recipe.strip) d.strip = strip.adopt(recipe.strip, d.strip)
  if (recipe.pad) d.pad = pad.adopt(recipe.pad, d.pad)
  return d
}

/** The same recipe for so many times what came of it: sized by its amount, and no more by its hives. */
export function scaled(draft: Draft, was: Schemas['RecipeAnswer'], times: number): Draft {
  const d = structuredClone(draft)
  const sized = (of: Record<string, string | undefined>, by: string, at: string, amount: number) => {
    of['size.by'] = by
    of[at] = String(Math.round(amount * times))
  }
  if (was.dribble) sized(d.dribble, 'volume', 'size.volume_ml', was.dribble.volume_ml)
  if (was.strip) sized(d.strip, 'strips', 'size.strips', was.strip.strips)
  if (was.pad?.dilution) sized(d.pad, 'working', 'size.working_ml', was.pad.dilution.working_ml)
  return d
}

/** Rewrites what was typed when the units change, so that 70 °C never becomes 70 °F. */
export function inUnits(draft: Draft, to: System): Draft {
  if (draft.units === to) return draft
  return {
    ...draft,
    units: to,
    dribble: dribble.inUnits(draft.dribble, to),
    strip: strip.inUnits(draft.strip, to),
    pad: pad.inUnits(draft.pad, to),
  }
}
