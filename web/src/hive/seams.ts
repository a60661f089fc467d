import type { BoardGap, Touch } from '../drawing/Board'
import { besideComb } from '../drawing/gaps'
import type { Change, DraftBox } from './hive'

/** The gaps as typed; where only a count was typed, as the answer spread it. */
export const gapsOf = (box: DraftBox, answered?: readonly { seam: number }[]): BoardGap[] =>
  Array.from({ length: box.slots.length + 1 }, (_, i) => ({
    open: besideComb(box.slots, i),
    seam:
      box.seams === null
        ? answered?.length === box.slots.length + 1
          ? answered[i]!.seam
          : 0
        : (box.seams[i] ?? 0),
  }))

/** A touch sets the bees in a gap; a count that was typed becomes what is drawn. */
export const setSeam = (change: Change, colony: number, box: number, gaps: readonly BoardGap[]): Touch => ({
  sets: 'seam',
  on: (gap, seam) =>
    change((d) => {
      const b = d.colonies[colony]!.boxes[box]!
      b.seams = gaps.map((g) => g.seam)
      b.seams[gap] = seam
      b.counted = ''
    }),
})
