import type { Schemas } from '../api/client'
import type { Application } from '../outbox/outbox'
import { text, wordsOf } from './text'
import styles from './JustDone.module.css'
import { Press } from '../kit'

interface Props {
  round: Schemas['Visit']
  record: Application
  onUndo: () => void
}

/** What was written last, above the next hive: so that one sees it, and takes it back at once. */
export function JustDone({ round, record, onUndo }: Props) {
  const hive = round.colonies.find((c) => c.id === record.colony_id)?.hive.name ?? ''
  return (
    <p className={styles.just} data-just-done={hive}>
      <span>
        <b>{hive}</b>: {wordsOf(round.method, record)}
      </span>
      <Press outlined says={text.undo} onPress={onUndo} data-undo-last />
    </p>
  )
}
