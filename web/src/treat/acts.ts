import type { Schemas } from '../api/client'

type Act = Schemas['Visit']['act']
type Kind = Schemas['Application']['kind']

/** What is written in a round, by what it goes out for. */
export const OF_ACT: Record<Act, readonly Kind[]> = {
  give: ['given', 'skipped', 'out'],
  out: ['out'],
  move: ['moved', 'given'],
  weigh: ['weighed', 'given'],
  check: ['checked'],
  board: ['board'],
}

/** The address of the round that a line was written in. */
export function roundOf(job: string, day: string, kind: Kind) {
  const act = Object.entries(OF_ACT).find(([, kinds]) => kinds[0] === kind)?.[0]
  return `/rounds/${job}/${day}${act && act !== 'give' ? `/${act}` : ''}`
}
