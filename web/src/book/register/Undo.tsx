import { useState } from 'react'
import { client, data, type Schemas } from '../../api/client'
import { Form, type Panel, stale, useSaving, useTyped } from '../../kit'
import styles from './Lines.module.css'
import { text } from './text'

interface Props {
  line: Schemas['Application']
  onDone: () => void
}

const UNDO: Panel<'note'> = {
  title: '',
  entries: [{ of: 'note', as: 'words', label: text.amendWhy }],
}

/** Says of a line that it never happened; it can still be read. */
export function Undo({ line, onDone }: Props) {
  const [id] = useState(() => crypto.randomUUID())
  const form = useTyped(UNDO, { note: '' })
  const saving = useSaving(
    () =>
      data(
        client.POST('/api/register/{id}/amend', {
          params: { path: { id: line.id } },
          body: {
            id,
            colony_id: line.colony_id,
            kind: 'skipped',
            reason: 'taken_back',
            change_reason: (form.body as { note?: string }).note ?? '',
          },
        }),
      ),
    () => {
      stale('register')
      onDone()
    },
  )
  return (
    <Form
      className={styles.amend}
      form={form}
      saving={saving}
      save={text.takeBackYes}
      mark="amend"
      quiet
      onSave={() => saving.save()}
      onCancel={onDone}
    />
  )
}
