import Button from '@mui/material/Button'
import { useState } from 'react'
import type { Schemas } from '../api/client'
import { text } from './text'
import shared from './treat.module.css'
import styles from './TakeOut.module.css'

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
      <Stepper label={text.missing} value={missing} most={all} onChange={setMissing} />
      <Stepper label={text.chewed} value={chewed} most={all - missing} onChange={setChewed} />
      <div className={shared.takes}>
        {early > 0 && !sure ? (
          <Button size="large" variant="outlined" color="error" onClick={() => setSure(true)} data-early-yes>
            {text.earlyYes}
          </Button>
        ) : (
          <Button
            size="large"
            variant="contained"
            onClick={() => onOut({ came: all - missing, missing, chewed: Math.min(chewed, all - missing) })}
            data-given
          >
            {text.out}
          </Button>
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
      <Button
        variant="outlined"
        disabled={value <= 0}
        onClick={() => onChange(value - 1)}
        aria-label={`${label} −`}
      >
        −
      </Button>
      <b>{value}</b>
      <Button
        variant="outlined"
        disabled={value >= most}
        onClick={() => onChange(value + 1)}
        aria-label={`${label} +`}
      >
        +
      </Button>
    </div>
  )
}
