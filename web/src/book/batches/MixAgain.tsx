import { useState } from 'react'
import { useNavigate } from 'react-router'
import type { Schemas } from '../../api/client'
import { Choice, Press, useStart } from '../../kit'
import { adopt, scaled } from '../../method/begin'
import { keepDraft } from '../../method/useDraft'
import { text } from '../text'
import styles from './BatchPage.module.css'

type Batch = Schemas['Batch']

/** The same recipe on the bench again: as it was sized, or so many times as much. */
export function MixAgain({ batch }: { batch: Batch }) {
  const navigate = useNavigate()
  const { usual } = useStart()
  const [open, setOpen] = useState(false)
  const [times, setTimes] = useState<keyof typeof text.times>('same')
  if (!open) return <Press outlined says={text.copy} onPress={() => setOpen(true)} data-mix-again />
  const [place = ''] = batch.name.split(',')
  return (
    <div className={styles.again}>
      <p>{text.copyAsk}</p>
      {/* Ready pads are counted by their hives: there is no amount to scale. */}
      {(batch.method !== 'pad' || batch.answer.pad?.dilution) && (
        <Choice label={text.howMuch} columns={5} value={times} options={text.times} onChange={setTimes} />
      )}
      <Press
        main
        says={text.copyYes}
        onPress={() => {
          const draft = adopt(batch.recipe, usual, place, batch.rule_worked_under)
          keepDraft(times === 'same' ? draft : scaled(draft, batch.answer, Number(times)))
          void navigate('/mix')
        }}
      />
      <Press says={text.keepIt} onPress={() => setOpen(false)} />
    </div>
  )
}
