import Button from '@mui/material/Button'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { Faults } from '../../parts/faults'
import { Field } from '../../parts/Field'
import { plain } from '../../units/format'
import { readOne } from '../mix/reader'
import type { Amount } from './amounts'
import type { Application } from './outbox'
import { text } from './text'
import styles from './treat.module.css'

interface Props {
  amount: Amount
  choices: Schemas['RoundChoices']
  onWrite: (what: Partial<Application>) => void
  onCancel: () => void
}

/** What was really given, in two taps: the reason, and with an amount or without. */
export function OtherOutcome({ amount, choices, onWrite, onCancel }: Props) {
  const [touched, setTouched] = useState<string>()
  const typed = touched ?? plain(amount.figure)
  const { figure, faults } = readOne('amount', typed)
  // Some reasons mean nothing given, unless somebody typed that there was.
  const write = (reason: string) =>
    figure && figure > 0 && (touched !== undefined || !choices.skipping.includes(reason))
      ? onWrite({ kind: 'given', amount: figure, reason })
      : onWrite({ kind: 'skipped', reason, amount: 0 })
  return (
    <div className={styles.otherBox}>
      <Faults value={faults}>
        <div className={styles.really}>
          <Button size="large" variant="outlined" onClick={() => setTouched('0')} data-nothing>
            {text.nothing}
          </Button>
          <Field
            label={text.really}
            unit={amount.unit === 'ml' ? text.ml : ''}
            path="amount"
            value={typed}
            onChange={setTouched}
          />
        </div>
      </Faults>
      <p>{text.lowHint}</p>
      <div className={styles.reasons}>
        {choices.reasons.map((r) => (
          <Button
            key={r}
            variant="outlined"
            disabled={'amount' in faults}
            onClick={() => write(r)}
            data-reason={r}
          >
            {text.reasons[r] ?? r}
          </Button>
        ))}
      </div>
      <Button onClick={onCancel}>{text.cancel}</Button>
    </div>
  )
}
