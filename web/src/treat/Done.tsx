import type { Schemas } from '../api/client'
import type { Application } from '../outbox/outbox'
import { text, wordsOf } from './text'
import shared from './treat.module.css'
import styles from './Done.module.css'
import { Press } from '../kit'

interface Props {
  round: Pick<Schemas['Visit'], 'method' | 'all'>
  records: readonly Application[]
  onUndo: (record: Application) => void
}

/** What was done at a hive, and how it is put right. */
export function Done({ round, records, onUndo }: Props) {
  return records.map((r) => (
    <div key={r.id} className={shared.done} data-done={r.kind}>
      <p className={shared.figure}>{wordsOf(round.method, r)}</p>
      <p>
        {text.doneAt(round.all.words[r.reason ?? ''] ?? '', r.by ?? '')}
        {r.flags_in_words?.map((f) => (
          <b key={f} className={styles.flag} data-flag={f}>
            {f}
          </b>
        ))}
        {(r.extras ?? []).map((e) => (
          <span key={e} className={styles.extra}>
            {round.all.words[e]}
          </span>
        ))}
      </p>
      <Press big outlined says={text.undo} onPress={() => onUndo(r)} data-undo />
    </div>
  ))
}
