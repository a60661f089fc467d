import type { Schemas } from '../api/client'

type Followup = Schemas['Followup']

/** What a round goes out for, by what is to be done. */
const ACTS: Partial<Record<Followup['kind'], Schemas['Visit']['act']>> = {
  visit: 'give',
  board_in: 'board',
  weigh: 'weigh',
  queen: 'check',
  hang: 'move',
  move: 'move',
  reversed: 'move',
  out: 'out',
}

/** Where something is done from. */
export function placeOf(f: Followup, today: string) {
  if (f.kind === 'board_read') return `/yards/${f.yard_id}/boards?${named(f)}`
  if (f.kind === 'treat') return `/decide?${named(f)}`
  const act = ACTS[f.kind]
  if (!act) return `/yards/${f.yard_id}/count`
  if (!f.job_id) return `/colonies/${f.colonies.find((c) => open(c.state))?.id}` // of what was recorded only
  const round = f.kind === 'visit' && f.n === 1 ? f.from : `${today}/${act}`
  return `/rounds/${f.job_id}/${round}?yard=${f.yard_id}`
}

/** The hives that it is still to be done at. */
const named = (f: Followup) =>
  new URLSearchParams(f.colonies.filter((c) => open(c.state)).map((c) => ['hive', c.id])).toString()

export const open = (state: Followup['state']) => state === 'late' || state === 'due' || state === 'coming'
