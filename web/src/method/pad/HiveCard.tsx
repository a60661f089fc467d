import { memo } from 'react'
import type { Schemas } from '../../api/client'
import { Board } from '../../drawing/Board'
import type { LidProps } from '../../drawing/Lid'
import { plain, tenths, three } from '../../kit/format'
import type { Change } from '../draft'
import type { DraftColony } from '../../hive/hive'
import { HiveCard } from '../../hive/HiveCard'
import { gapsOf } from '../../hive/seams'
import { text } from './text'

type Row = Schemas['PadAmount']

interface Props {
  colony: DraftColony
  at: number
  row: Row | undefined
  from: LidProps['from']
  heed: string
  change: Change
}

/** One colony, with its pads over the combs or under them. */
export const PadCard = memo(function PadCard({ colony, at, row, from, heed, change }: Props) {
  return (
    <HiveCard
      colony={colony}
      at={at}
      change={change}
      heed={heed}
      figure={
        row && (
          <>
            <b data-given>{row.ml ? plain(row.ml) : (row.pads ?? 0)}</b>{' '}
            {row.ml ? 'mL' : text.pads(row.pads ?? 0).replace(/^\d+ /, '')} · {text.combsOf(row.combs)}
          </>
        )
      }
      boxFigure={() => ''}
      board={(box, i, name) => (
        <Board
          name={name}
          depth={box.depth}
          slots={box.slots}
          gaps={gapsOf(box)}
          lid={lidOf(row, from, i, colony.boxes.length)}
        />
      )}
      foot={row && footOf(row)}
      seamless
    />
  )
})

function footOf(row: Row) {
  const acid = text.acidIn(three(row.formic_g))
  const asked = row.capped ? text.asked(plain(Math.round(row.asked_ml ?? 0))) : ''
  const sheets = row.ml && row.pads ? text.sheets(row.pads, plain(Math.round(row.area_cm2 ?? 0))) : ''
  return [asked, sheets, acid].filter(Boolean).join(' · ')
}

/** From above it lies on the topmost box, from below under the lowest. */
export function lidOf(
  row: Row | undefined,
  from: LidProps['from'],
  box: number,
  boxes: number,
): LidProps | undefined {
  if (!row || row.formic_g === 0 || box !== (from === 'above' ? boxes - 1 : 0)) return undefined
  const pieces = row.pads ?? 1
  return {
    from,
    pieces,
    words: row.ml ? text.mL(tenths(row.ml / pieces)) : text.grams(tenths(row.formic_g / pieces)),
  }
}
