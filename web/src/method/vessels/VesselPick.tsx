import { Vessel } from '../../drawing/Vessel'
import { plain } from '../../kit'
import styles from './Picks.module.css'
import { text } from './text'
import { useVessels, type OwnVessel } from './vessels'

interface Props {
  /** What is chosen, mL. */
  ml: number | undefined
  onChoose: (vessel: OwnVessel) => void
}

/** One's own vessels, chosen by their pictures; nothing where none were described. */
export function VesselPick({ ml, onChoose }: Props) {
  const vessels = useVessels()
  if (vessels.length === 0) return null
  return (
    <div className={styles.picks} role="group" aria-label={text.yours}>
      {vessels.map((v) => (
        <button
          key={`${v.name} ${v.ml}`}
          type="button"
          className={styles.pick}
          aria-pressed={v.ml === ml}
          onClick={() => onChoose(v)}
          data-vessel={v.name}
        >
          <Vessel kind={v.kind} volume={0} figure={plain(v.ml)} unit="mL" />
          {v.name}
        </button>
      ))}
    </div>
  )
}
