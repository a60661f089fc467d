import { facts as dribble } from './dribble/facts'
import type { Facts, Method } from './kind'
import { facts as pad } from './pad/facts'
import { facts as strip } from './strip/facts'

export type { Method } from './kind'

/** A further method is one entry here, in registry.ts, in amounts.ts and in begin.ts. */
export const FACTS: Record<Method, Facts> = { dribble, strip, pad }

/** The methods, in the order in which they are offered. */
export const METHODS = Object.keys(FACTS) as Method[]
