import Button from '@mui/material/Button'
import { Link } from 'react-router'
import type { Schemas } from '../../api/client'
import { date } from '../../shell/day'
import { tenths } from '../../units/format'
import { text } from './text'
import styles from './treat.module.css'

interface Props {
  round: Schemas['RoundDay']
  batch: Schemas['RoundBatch'] | undefined
  left: number
  onBack: () => void
}

/** The end of the line: what is left, what becomes of it, and when to go back. */
export function Finished({ round, batch, left, onBack }: Props) {
  const unit = batch?.on_hand.unit === 'pieces' ? text.strips(left) : text.ml
  return (
    <section className={styles.colony} data-finished>
      <h1>{text.finished}</h1>
      {batch && (
        <>
          <p className={styles.dose}>
            <b>{tenths(left)}</b> <small>{unit}</small>
          </p>
          <p>
            {text.finishedLeft(`${tenths(left)} ${unit}`)}. {text.leftoverHow}{' '}
            <Link to={`/batches/${batch.id}`}>{text.toBatch}</Link>
          </p>
        </>
      )}
      {round.due_out && round.due_last && <p>{text.due(date(round.due_out), date(round.due_last))}</p>}
      <Button onClick={onBack}>{text.last}</Button>
    </section>
  )
}
