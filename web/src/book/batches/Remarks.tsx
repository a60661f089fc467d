import { useState } from 'react'
import { client, data, type Schemas } from '../../api/client'
import { day, Faults, Field, Press, queries, useSaving } from '../../kit'
import styles from './Remarks.module.css'
import { text } from '../text'

/** What was written to a batch afterwards; added to, never changed. */
export function Remarks({ batch }: { batch: Schemas['Batch'] }) {
  const [note, setNote] = useState({ id: crypto.randomUUID(), text: '' })
  const add = useSaving(
    () => data(client.POST('/api/batches/{id}/remarks', { params: { path: { id: batch.id } }, body: note })),
    () => {
      setNote({ id: crypto.randomUUID(), text: '' })
      void queries.invalidateQueries({ queryKey: ['batches', batch.id] })
    },
  )
  return (
    <section className={styles.remarks} data-remarks>
      <h2>{text.remarks}</h2>
      {batch.remarks.map((r) => (
        <p key={r.id}>
          {r.text} <small className="quiet">{r.at && day(r.at)}</small>
        </p>
      ))}
      <Faults value={add.message ? { text: add.message } : {}}>
        <Field
          text
          lines
          label={text.remark}
          path="text"
          value={note.text}
          onChange={(v) => setNote({ ...note, text: v })}
        />
      </Faults>
      <Press says={text.add} off={note.text.trim() === '' || add.busy} onPress={() => add.save()} />
    </section>
  )
}
