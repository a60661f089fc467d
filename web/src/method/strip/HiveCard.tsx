import { memo } from 'react'
import { withStrips } from './gaps'
import type { Schemas } from '../../api/client'
import type { BoardGap, Touch } from '../../drawing/Board'
import { Press, seams as fraction, three } from '../../kit'

import type { Change, DraftBox } from '../../hive/hive'
import { HiveCard, type CardProps } from '../../hive/HiveCard'
import { gapsOf, setSeam } from '../../hive/seams'
import { text as hives } from '../../hive/text'
import type { Carrier, Marks } from './fields'
import { text } from './text'

type Row = Schemas['ColonyStrips']

interface Props extends CardProps {
  row: Row | undefined
  carrier: Carrier
  marks: Marks
}

/** One colony, with its strips in their gaps. */
export const StripCard = memo(function StripCard({ row, carrier, marks, ...card }: Props) {
  const { at, change } = card
  const again = () => change((d) => void (d.colonies[at]!.placed = null))
  return (
    <HiveCard
      {...card}
      figure={
        row && (
          <>
            <b data-strips>{row.strips}</b> {row.strips === 1 ? text.piece[carrier] : text.pieces[carrier]}
            {row.strips < row.wanted && !row.by_hand && ` ${text.short(row.wanted)}`} ·{' '}
            {hives.seamsOf(fraction(row.frames))}
          </>
        )
      }
      boxFigure={(i) => (row?.boxes[i] ? boxFigure(row.boxes[i], carrier) : '')}
      board={(box, i) => {
        const gaps = withStrips(gapsOf(box, row?.boxes[i]?.gaps), row?.boxes[i], carrier)
        return { gaps, brood: box.brood, touch: touchOf(marks, change, at, i, gaps, row) }
      }}
      foot={
        row && (
          <>
            {footOf(row)}
            {row.by_hand && <Press small says={text.placeAgain} onPress={again} data-again />}
          </>
        )
      }
    />
  )
})

function boxFigure(box: Schemas['StripBox'], carrier: Carrier) {
  const reach = box.gaps.filter((g) => g.from_above).length
  const own = [text.count(box.strips, carrier), box.strips > 0 && text.acidIn(three(box.oad_g ?? 0))]
    .filter(Boolean)
    .join(' · ')
  if (reach === 0) return own
  return box.strips === 0 ? text.reach(reach) : `${own} · ${text.reach(reach)}`
}

/** Why there are no more of them, and the acid in those there are. */
const footOf = (row: Row) =>
  [text.reasons[row.reason ?? ''], row.strips > 0 && text.acidIn(three(row.oad_g ?? 0))]
    .filter(Boolean)
    .join(' · ')

function touchOf(
  marks: Marks,
  change: Change,
  at: number,
  box: number,
  gaps: BoardGap[],
  row: Row | undefined,
): Touch | undefined {
  switch (marks) {
    case 'seam':
      return setSeam(change, at, box, gaps)
    case 'brood':
      return {
        sets: 'brood',
        on: (slot) =>
          change((d) => {
            const b = d.colonies[at]!.boxes[box]!
            b.brood = b.slots.map((_, k) => (k === slot) !== (b.brood[k] ?? false))
          }),
      }
    case 'strip':
      return (
        row && {
          sets: 'strip',
          on: (gap) =>
            change((d) => {
              const colony = d.colonies[at]!
              colony.placed = moved(colony.boxes, colony.placed ?? placedIn(row), box, gap)
            }),
        }
      )
  }
}

/** Where an answer has put the strips. */
const placedIn = (row: Row) => row.boxes.map((b) => b.gaps.flatMap((g, i) => (g.strip ? [i] : [])))

/** The same with one gap's strip hung up or taken away. */
const moved = (boxes: readonly DraftBox[], placed: readonly number[][], box: number, gap: number) =>
  boxes.map((_, i) => {
    const now = placed[i] ?? []
    if (i !== box) return now
    return now.includes(gap) ? now.filter((g) => g !== gap) : [...now, gap].sort((a, b) => a - b)
  })
