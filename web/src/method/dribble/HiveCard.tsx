import { memo } from 'react'
import { withDoses } from './gaps'
import type { Schemas } from '../../api/client'
import { Board } from '../../drawing/Board'
import { plain, seams as fraction, tenths } from '../../kit/format'
import type { Change } from '../draft'
import type { DraftColony } from '../../hive/hive'
import { HiveCard } from '../../hive/HiveCard'
import { gapsOf, setSeam } from '../../hive/seams'
import { text as hives } from '../../hive/text'
import type { Device } from './fields'
import { drawing } from './draws'
import { text } from './text'

interface Props {
  colony: DraftColony
  at: number
  dose: Schemas['ColonyDose'] | undefined
  device: Device
  heed: string
  change: Change
}

/** One colony, with the mL for each gap under it. */
export const DribbleCard = memo(function DribbleCard({ colony, at, dose, device, heed, change }: Props) {
  return (
    <HiveCard
      colony={colony}
      at={at}
      change={change}
      heed={heed}
      figure={
        dose && (
          <>
            <b data-dose>{plain(dose.ml)}</b> mL · {hives.seamsOf(fraction(dose.seams))}
          </>
        )
      }
      boxFigure={(i) => (dose?.boxes[i] ? text.boxDose(i === 0, plain(dose.boxes[i].ml)) : '')}
      board={(box, i, name) => {
        const gaps = withDoses(gapsOf(box, dose?.boxes[i]?.gaps), dose?.boxes[i])
        return (
          <Board
            name={name}
            depth={box.depth}
            slots={box.slots}
            gaps={gaps}
            touch={setSeam(change, at, i, gaps)}
          />
        )
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
