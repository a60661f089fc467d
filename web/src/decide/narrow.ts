import type { Schemas } from '../api/client'

type Row = Schemas['DecideColony']

export const WAYS = ['over', 'fits', 'free'] as const
export type Way = (typeof WAYS)[number]

/** Which hives are shown: of those that all of these hold, and whose name begins so. */
export interface Narrowed {
  ways: readonly Way[]
  find: string
}

const JOBS = new Set(['in_job', 'in_other_job'])

/** What holds of a hive: over the threshold, fits the day by the method chosen, in no open job. */
export function holds(row: Row, at: number, reasons: readonly Schemas['Reason'][]): Record<Way, boolean> {
  const { verdict, ask } = row.cells[at]!
  return {
    over: row.need === 'treat',
    fits: (verdict === 'fits' || verdict === 'with_care') && !ask,
    free: !row.cells.some((c) => c.reasons.some((i) => JOBS.has(reasons[i]!.code))),
  }
}

export function shown(row: Row, at: number, reasons: readonly Schemas['Reason'][], by: Narrowed): boolean {
  const is = holds(row, at, reasons)
  return by.ways.every((w) => is[w]) && row.name.toLowerCase().startsWith(by.find.trim().toLowerCase())
}

/** Why none fits: what is said against them first, and of how many, the most first. */
export function whyNone(
  rows: readonly Row[],
  at: number,
  reasons: readonly Schemas['Reason'][],
): [why: string, hives: number][] {
  const said = new Map<string, number>()
  for (const { cells } of rows) {
    const { ask, reasons: own } = cells[at]!
    const first = own.map((i) => reasons[i]!).find((r) => r.brief) ?? reasons[own[0]!]
    const job = own.map((i) => reasons[i]!).find((r) => r.code === 'in_job')
    const why = ((ask && job) || first)?.brief ?? first?.why ?? ''
    said.set(why, (said.get(why) ?? 0) + 1)
  }
  return [...said].sort((a, b) => b[1] - a[1])
}
