import { memo } from 'react'
import type { Schemas } from '../../api/client'
import type { LidProps } from '../../drawing/Lid'
import { plain, tenths, three } from '../../kit'
import { HiveCard, type CardProps } from '../../hive/HiveCard'
import { gapsOf } from '../../hive/seams'
import { text } from './text'

type Row = Schemas['PadAmount']

interface Props extends CardProps {
  row: Row | undefined
  from: LidProps['from']
}

/** One colony, with its pads over the combs or under them. */
export const PadCard = memo(function PadCard({ row, from, ...card }: Props) {
  return (
    <HiveCard
      {...card}
      figure={
        row && (
          <>
            <b data-given>{row.ml ? plain(row.ml) : (row.pads ?? 0)}</b>{' '}
            {row.ml ? 'mL' : text.pads(row.pads ?? 0).replace(/^\d+ /, '')} · {text.combsOf(row.combs)}
          </>
        )
      }
      board={(box, i) => ({ gaps: gapsOf(box), lid: lidOf(row, from, i, card.colony.boxes.length) })}
      foot={row && footOf(row)}
      seamless
    />
  )
})

function footOf(row: Row) {
  const acid = text.acidIn(three(row.formic_g))
  const asked = row.capped ? text.asked(plain(Math.round(row.asked_ml ?? 0))) : ''
  const sheets = row.ml && row.pads ? text.sheets(row.pads, plain(Math.round(row.area_cm2 ?? 0))) : ''
  const wick = row.wick_cm2 ? text.wick(plain(row.wick_cm2)) : ''
  return [wick, asked, sheets, acid].filter(Boolean).join(' · ')
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
