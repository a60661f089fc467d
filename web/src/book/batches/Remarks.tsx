import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { client, data, type Schemas } from '../../api/client'
import { day, Faults, Field, Press, queries } from '../../kit'
import { said } from './said'
import styles from './Remarks.module.css'
import { text } from '../text'

/** What was written to a batch afterwards; added to, never changed. */
export function Remarks({ batch }: { batch: Schemas['Batch'] }) {
  const [note, setNote] = useState({ id: crypto.randomUUID(), text: '' })
  const add = useMutation({
    mutationFn: () =>
      data(client.POST('/api/batches/{id}/remarks', { params: { path: { id: batch.id } }, body: note })),
    onSuccess: async () => {
      setNote({ id: crypto.randomUUID(), text: '' })
      await queries.invalidateQueries({ queryKey: ['batches', batch.id] })
    },
  })
  return (
    <section className={styles.remarks} data-remarks>
      <h2>{text.remarks}</h2>
      {batch.remarks.map((r) => (
        <p key={r.id}>
          {r.text} <small className="quiet">{r.at && day(r.at)}</small>
        </p>
      ))}
      <Faults value={add.error ? { text: said(add.error) } : {}}>
        <Field
          text
          lines
          label={text.remark}
          path="text"
          value={note.text}
          onChange={(v) => setNote({ ...note, text: v })}
        />
      </Faults>
      <Press says={text.add} off={note.text.trim() === '' || add.isPending} onPress={() => add.mutate()} />
    </section>
  )
}
