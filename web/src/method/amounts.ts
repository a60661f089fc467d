import type { Schemas } from '../api/client'
import type { Core } from '../core/core'
import { nothing, type Amount, type From, type Hive } from './amount'
import * as dribble from './dribble/amount'
import * as pad from './pad/amount'
import * as strip from './strip/amount'

interface Known {
  base: Schemas['Recipe']
  batch: string
  fromAbove: boolean
  amount: Amount
}

/** What was answered of each hive as it is drawn; a tapped one is another. */
const known = new WeakMap<Hive, Known>()

/** What a hive gets by the plan of what is poured, or else of the job: put to core once. */
export function amountOf(
  core: Core,
  round: Schemas['Visit'],
  hive: Hive,
  from: From,
  fromAbove: boolean,
): Amount {
  const batch = `${from?.id} ${from?.g_per_l}`
  const was = known.get(hive)
  if (was && was.base === round.base && was.batch === batch && was.fromAbove === fromAbove) return was.amount
  const amount = asked(core, from?.base ?? round.base, hive, from, fromAbove)
  known.set(hive, { base: round.base, batch, fromAbove, amount })
  return amount
}

function asked(core: Core, base: Schemas['Recipe'], hive: Hive, from: From, fromAbove: boolean): Amount {
  if (base.dribble) return dribble.amountOf(core, base.dribble, hive, from, fromAbove)
  if (base.strip) return strip.amountOf(core, base.strip, hive, from)
  if (base.pad) return pad.amountOf(core, base.pad, hive)
  return nothing('ml')
}
