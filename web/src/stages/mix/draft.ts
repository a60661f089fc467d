import type { Depth, Slot } from '../../drawing/Board'
import type { System } from '../../units/format'

/**
 * A plan as it is being typed: every figure is the text that was typed, so that
 * nothing is lost by an error or a reload. Read by request.ts.
 */
export interface Draft {
  version: 1
  /** The units in which volumes and temperatures are typed. */
  units: System
  place: string
  rule: string
  /** What the batch shall be called; empty for the place and day. */
  batchName: string
  hold: {
    kind: HoldKind
    powder: Record<PowderKind, Powder>
    madeUpTo: string
    volume: string
    stock: { value: string; form: StockForm; basis: Basis | ''; sugar: string }
    card: { name: string; actives: CardActive[]; rows: CardRow[]; repeats: string }
  }
  aim: {
    by: 'school' | 'value' | 'packet'
    school: string
    value: string
    form: StrengthForm
    basis: Basis | ''
  }
  ratio: string
  thinSugar: string
  size: { by: SizeBy; volume: string; colonies: string; reserve: string }
  mean: { seams: string; colonies: string }
  colonies: DraftColony[]
  dosing: { perSeam: string; cap: string; flat: string; nucFlat: string }
  applicator: {
    device: Device
    size: string
    unit: string
    dead: string
    shots: string
    shotsWeigh: string
    liquid: 'water' | 'syrup'
  }
  balance: string
  fridge: string
  yard: string
  prices: { hold: string; sugar: string }
}

export type PowderKind = 'crystals' | 'packet' | 'tablets'
/** Mass held (crystals), of one packet or of one tablet; the acid's share; how many. */
export interface Powder {
  grams: string
  oadPercent: string
  count: string
}
export type HoldKind = PowderKind | 'ready_mix' | 'ready_to_use'
export type Basis = 'dihydrate' | 'anhydrous'
export type StockForm = 'g_per_l' | 'percent_wv' | 'percent_ww'
export type StrengthForm = StockForm | 'mg_per_seam' | 'g_per_colony'
/** How the batch is sized; boards and count are both "by seams" to the server. */
export type SizeBy = 'boards' | 'count' | 'colonies' | 'volume' | 'in_hand'
export type Device = 'syringe' | 'bulb' | 'gun' | 'sprayer'

export interface CardActive {
  name: 'oxalic' | 'formic' | 'other'
  gPerL: string
  basis: Basis | ''
}

export interface CardRow {
  upTo: string
  dose: string
}

export interface DraftBox {
  depth: Depth
  slots: Slot[]
  /** One a gap; null while only a count was typed. */
  seams: number[] | null
  counted: string
}

export interface DraftColony {
  key: string
  name: string
  nuc: boolean
  boxes: DraftBox[]
}

export const comb = (n: number): Slot[] => Array<Slot>(n).fill('comb')

export const box = (depth: Depth, frames: number): DraftBox => ({
  depth,
  slots: comb(frames),
  seams: Array<number>(frames + 1).fill(0),
  counted: '',
})

/** Common hives: boxes from the floor up. */
export const HIVES = {
  single10: { nuc: false, boxes: () => [box('deep', 10)] },
  single11: { nuc: false, boxes: () => [box('deep', 11)] },
  single8: { nuc: false, boxes: () => [box('deep', 8)] },
  double10: { nuc: false, boxes: () => [box('deep', 10), box('deep', 10)] },
  half10: { nuc: false, boxes: () => [box('deep', 10), box('shallow', 10)] },
  mediums10: { nuc: false, boxes: () => [box('medium', 10), box('medium', 10)] },
  nuc6: { nuc: true, boxes: () => [box('deep', 6)] },
  nuc5: { nuc: true, boxes: () => [box('deep', 5)] },
} as const

export type HiveName = keyof typeof HIVES

export function newColony(hive: HiveName, name: string): DraftColony {
  const { nuc, boxes } = HIVES[hive]
  return { key: crypto.randomUUID(), name, nuc, boxes: boxes() }
}

/** The next free name after those there are: R8 is followed by R9. */
export function nextName(colonies: readonly DraftColony[]): string {
  const last = /^(.*?)(\d+)$/.exec(colonies.at(-1)?.name ?? '')
  const stem = last?.[1] ?? ''
  let n = Number(last?.[2] ?? colonies.length) + 1
  while (colonies.some((c) => c.name === stem + String(n))) n++
  return stem + String(n)
}

export const emptyDraft = (): Draft => ({
  version: 1,
  units: 'metric',
  place: '',
  rule: '',
  batchName: '',
  hold: {
    kind: 'crystals',
    powder: {
      crystals: { grams: '', oadPercent: '100', count: '' },
      packet: { grams: '35', oadPercent: '', count: '1' },
      tablets: { grams: '1', oadPercent: '100', count: '' },
    },
    madeUpTo: '',
    volume: '',
    stock: { value: '', form: 'percent_wv', basis: '', sugar: '0' },
    card: { name: '', actives: [], rows: [{ upTo: '', dose: '' }], repeats: '' },
  },
  aim: { by: 'school', school: 'label-litre', value: '', form: 'g_per_l', basis: '' },
  ratio: '',
  thinSugar: '30',
  size: { by: 'boards', volume: '', colonies: '', reserve: '10' },
  mean: { seams: '', colonies: '' },
  colonies: [newColony('single10', '1')],
  dosing: { perSeam: '5', cap: '50', flat: '', nucFlat: '' },
  applicator: {
    device: 'syringe',
    size: '60',
    unit: '',
    dead: '10',
    shots: '10',
    shotsWeigh: '',
    liquid: 'water',
  },
  balance: '0.1',
  fridge: '4',
  yard: '4',
  prices: { hold: '', sugar: '' },
})
