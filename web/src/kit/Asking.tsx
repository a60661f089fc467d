import Button from '@mui/material/Button'
import { useState } from 'react'
import { Faults } from './faults'
import { Field } from './Field'
import styles from './Asking.module.css'
import { text } from './text'
import { Press } from './Press'

interface Props {
  action: string
  hint: string
  yes: string
  /** When given, an answer must be typed. */
  question?: string
  harm?: boolean
  fault?: string
  onYes: (answer: string) => void
}

/** A step that asks once more before it is done, in its place and not in a window. */
export function Asking({ action, hint, yes, question, harm, fault, onYes }: Props) {
  const [open, setOpen] = useState(false)
  const [answer, setAnswer] = useState('')
  const colour = harm ? 'error' : 'primary'
  if (!open)
    return (
      <Button variant={harm ? 'text' : 'outlined'} color={colour} onClick={() => setOpen(true)}>
        {action}
      </Button>
    )
  return (
    <div className={styles.asking}>
      <p>{hint}</p>
      {question && (
        <Faults value={fault ? { answer: fault } : {}}>
          <Field text label={question} path="answer" value={answer} onChange={setAnswer} />
        </Faults>
      )}
      <Button
        variant="contained"
        color={colour}
        disabled={question !== undefined && answer.trim() === ''}
        onClick={() => onYes(answer)}
      >
        {yes}
      </Button>
      <Press says={text.cancel} onPress={() => setOpen(false)} />
    </div>
  )
}
