import type { Depth, Slot } from '../drawing/Board'
import { type Edit } from '../kit'

export interface DraftBox {
  depth: Depth
  slots: Slot[]
  /** One a gap; null while only a count was typed. */
  seams: number[] | null
  counted: string
  /** One a slot: the comb holds sealed brood. Empty while nobody looked. */
  brood: boolean[]
}

export interface DraftColony {
  key: string
  name: string
  nuc: boolean
  boxes: DraftBox[]
  /** The gaps chosen by hand for strips, by box; null where Keeler places. */
  placed: number[][] | null
}

export const comb = (n: number): Slot[] => Array<Slot>(n).fill('comb')

export const box = (depth: Depth, frames: number): DraftBox => ({
  depth,
  slots: comb(frames),
  seams: Array<number>(frames + 1).fill(0),
  counted: '',
  brood: [],
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
  return { key: crypto.randomUUID(), name, nuc, boxes: boxes(), placed: null }
}

/** The next free name after those there are: R8 is followed by R9. */
export function nextName(colonies: readonly DraftColony[]): string {
  const [stem, last] = numbered(colonies.at(-1)?.name ?? '')
  let n = (last ?? colonies.length) + 1
  while (colonies.some((c) => c.name === stem + String(n))) n++
  return stem + String(n)
}

/** So many names in a row: from R8 on R8, R9, R10. */
export function namesFrom(first: string, many: number): string[] {
  const [stem, n] = numbered(first.trim())
  if (many === 1) return [first.trim()]
  return Array.from({ length: many }, (_, i) => stem + String((n ?? 1) + i))
}

function numbered(name: string): [stem: string, n: number | undefined] {
  const n = /\d+$/.exec(name)?.[0]
  return n === undefined ? [name, undefined] : [name.slice(0, -n.length), Number(n)]
}

/** Whether any bees are drawn or counted. */
export const anyBees = (colonies: readonly DraftColony[]) =>
  colonies.some((c) => c.boxes.some((b) => b.seams === null || b.seams.some((s) => s > 0)))

/** What is drawn of some hives, as a part of what is being typed, and how it is changed. */
export interface Colonies {
  colonies: DraftColony[]
}

export type Change = Edit<Colonies>
