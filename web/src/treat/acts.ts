import type { Schemas } from '../api/client'

type Act = Schemas['Visit']['act']
type Kind = Schemas['Application']['kind']

/** What is written in a round, by what it goes out for. */
const OF_ACT: Record<Act, readonly Kind[]> = {
  give: ['given', 'skipped', 'out'],
  out: ['out'],
  move: ['moved', 'given'],
  weigh: ['weighed', 'given'],
  check: ['checked'],
  board: ['board'],
}

/** Whether a line is what a round goes out for: a dose of the same day is no weighing, what was topped up is no dose. */
export const belongs = (act: Act, r: Pick<Schemas['Application'], 'kind' | 'extra'>) =>
  OF_ACT[act].includes(r.kind) && (r.kind !== 'given' || (r.extra ?? false) === (act !== 'give'))

/** The address of the round that a line was written in. */
export function roundOf(job: string, day: string, kind: Kind) {
  const act = Object.entries(OF_ACT).find(([, kinds]) => kinds[0] === kind)?.[0]
  return `/rounds/${job}/${day}${act && act !== 'give' ? `/${act}` : ''}`
}
