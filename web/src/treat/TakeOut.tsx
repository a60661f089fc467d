import { useState } from 'react'
import type { Schemas } from '../api/client'
import { text } from './text'
import shared from './treat.module.css'
import styles from './TakeOut.module.css'
import { Press } from '../kit'

interface Props {
  colony: Schemas['VisitColony']
  onOut: (out: { came: number; missing: number; chewed: number }) => void
}

/** Strips or pads come out: how many, how many are missing, how many are chewed away. */
export function TakeOut({ colony, onOut }: Props) {
  const all = colony.in_hive ?? 0
  const [missing, setMissing] = useState(0)
  const [chewed, setChewed] = useState(0)
  const [sure, setSure] = useState(false)
  const early = colony.early_days ?? 0
  return (
    <div className={shared.otherBox} data-take-out>
      <p className={shared.dose}>
        <b>{all - missing}</b> <small>{text.came}</small>
      </p>
      <p>{text.daysIn(colony.days_in ?? 0)}</p>
      {early > 0 && (
        <p className={shared.harm} role="alert" data-early={early}>
          {text.early(early)}
        </p>
      )}
      <p className="quiet">{text.spent}</p>
      <Stepper label={text.missing} value={missing} most={all} onChange={setMissing} />
      <Stepper label={text.chewed} value={chewed} most={all - missing} onChange={setChewed} />
      <div className={shared.takes}>
        {early > 0 && !sure ? (
          <Press big outlined harm says={text.earlyYes} onPress={() => setSure(true)} data-early-yes />
        ) : (
          <Press
            big
            main
            says={text.out}
            onPress={() => onOut({ came: all - missing, missing, chewed: Math.min(chewed, all - missing) })}
            data-given
          />
        )}
      </div>
    </div>
  )
}

interface StepperProps {
  label: string
  value: number
  most: number
  onChange: (n: number) => void
}

function Stepper({ label, value, most, onChange }: StepperProps) {
  return (
    <div className={styles.stepper}>
      <span>{label}</span>
      <Press
        outlined
        says="−"
        off={value <= 0}
        onPress={() => onChange(value - 1)}
        aria-label={`${label} −`}
      />
      <b>{value}</b>
      <Press
        outlined
        says="+"
        off={value >= most}
        onPress={() => onChange(value + 1)}
        aria-label={`${label} +`}
      />
    </div>
  )
}
