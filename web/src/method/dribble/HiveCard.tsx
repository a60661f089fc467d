import { memo } from 'react'
import { withDoses } from './gaps'
import type { Schemas } from '../../api/client'
import { plain, seams as fraction, tenths } from '../../kit'
import { HiveCard, type CardProps } from '../../hive/HiveCard'
import { gapsOf, setSeam } from '../../hive/seams'
import { text as hives } from '../../hive/text'
import type { Device } from './fields'
import { drawing } from './draws'
import { text } from './text'

interface Props extends CardProps {
  dose: Schemas['ColonyDose'] | undefined
  device: Device
}

/** One colony, with the mL for each gap under it. */
export const DribbleCard = memo(function DribbleCard({ dose, device, ...card }: Props) {
  return (
    <HiveCard
      {...card}
      figure={
        dose && (
          <>
            <b data-dose>{plain(dose.ml)}</b> mL · {hives.seamsOf(fraction(dose.seams))}
          </>
        )
      }
      boxFigure={(i) => (dose?.boxes[i] ? text.boxDose(i === 0, plain(dose.boxes[i].ml)) : '')}
      board={(box, i) => {
        const gaps = withDoses(gapsOf(box, dose?.boxes[i]?.gaps), dose?.boxes[i])
        return { gaps, touch: setSeam(card.change, card.at, i, gaps) }
      }}
      foot={dose && dose.ml > 0 && handling(dose, device)}
    />
  )
})

function handling(dose: Schemas['ColonyDose'], device: Device) {
  const byHand = device !== 'syringe' || dose.draws.length > 1
  return [
    byHand && drawing(dose.draws, device),
    dose.capped && text.asked(plain(dose.asked_ml)),
    dose.mg > 0 && text.inEach(tenths(dose.seam_ml), plain(Math.round(dose.mg_per_seam))),
  ]
    .filter(Boolean)
    .join(' · ')
}
