import type { Schemas } from '../api/client'
import type { BoardGap } from '../drawing/Board'
import type { DraftBox } from '../hive/hive'
import { gapsOf } from '../hive/seams'

export type Hive = Schemas['Colony']

/** What one colony gets, by core, and how it is drawn. */
export interface Amount {
  figure: number
  unit: 'ml' | 'pieces'
  words: string
  /** By boxes, the lowest first. */
  boxes: number[]
  /** Of strips: the gaps that they hang in, by boxes. */
  gaps?: number[][]
  draws: string
  /** What a full seam gets. */
  each: string
  /** Why it is not what the seams ask. */
  why: string
  /** What can harm: said beside the figure. */
  warnings: string[]
  board: (box: DraftBox, i: number) => BoardGap[]
}

/** Of what is given from, what bears on the amount. */
export type From = Pick<Schemas['VisitBatch'], 'id' | 'g_per_l' | 'oad_mg' | 'base'> | undefined

export const nothing = (unit: Amount['unit']): Amount => ({
  figure: 0,
  unit,
  words: '',
  boxes: [],
  draws: '',
  each: '',
  why: '',
  warnings: [],
  board: (box) => gapsOf(box),
})

/** Why there is no figure. */
export const refused = (unit: Amount['unit'], faults: Record<string, string> | undefined): Amount => ({
  ...nothing(unit),
  warnings: [...new Set(Object.values(faults ?? {}))],
})

export const warned = (notes: readonly Schemas['Note'][] | undefined) =>
  (notes ?? []).filter((n) => n.warn).map((n) => n.text)
