import type { Schemas } from '../../api/client'
import { text } from './text'

type Group = Schemas['CompareGroup']

/** What a group is called. */
export const label = (g: Group) => g.name ?? text.keys[g.key] ?? g.key

/** Whether a share is told of it. */
export const told = (g: Group) => g.told > 0
