import { type Method, METHODS } from '../method/facts'
import type { Schemas } from '../api/client'
import type { Narrowed } from './narrow'

/** What the keeper has chosen so far; it outlives a reload. */
export interface Choice {
  day: string
  people: string
  method: Method
  under: Record<Method, string>
  /** Colonies ticked, in no order. */
  ticked: string[]
  name: string
  ruleKind: '' | Schemas['SaveJob']['rule_kind']
  rule: string
  /** How many are left untreated to compare. */
  controls?: string
  override: string
  /** Which hives are shown, and which yards are folded, by id. */
  by?: Narrowed
  folded?: string[]
  /** Of the job to be made: a try that got no answer is repeated under it. */
  id: string
}

export const fresh = (day: string): Choice => ({
  day,
  people: '1',
  method: METHODS[0]!,
  under: { dribble: '', strip: '', pad: '' },
  ticked: [],
  name: '',
  ruleKind: '',
  rule: '',
  controls: '',
  override: '',
  id: crypto.randomUUID(),
})
