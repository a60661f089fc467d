import type { Schemas } from '../../api/client'
import type { Core } from '../../core/core'
import { nothing, refused, warned, type Amount, type Hive } from '../amount'
import { plain } from '../../kit'
import { facts } from './facts'
import { text } from './text'

/** What a hive gets of formic acid: mL of it, or ready pads. */
export function amountOf(core: Core, base: Schemas['PadRequest'], hive: Hive): Amount {
  const pieces = base.hold.kind === 'ready_pads'
  const unit = pieces ? 'pieces' : 'ml'
  const { answer, faults } = core.pad({ ...base, colonies: [hive], mean: undefined, size: { by: 'visit' } })
  const given = answer?.given[0]
  if (!given) return refused(unit, faults)
  const figure = pieces ? (given.pads ?? 0) : (given.ml ?? 0)
  return {
    ...nothing(unit),
    figure,
    words: pieces ? facts.pieces(figure) : 'mL',
    draws: given.wick_cm2 ? text.wick(plain(given.wick_cm2)) : '',
    warnings: warned(answer.notes),
  }
}
