import type { ReactNode } from 'react'
import type { Schemas } from '../api/client'
import { Form, type Panel, useForm, useSaving } from '../kit'
import styles from './book.module.css'
import { text } from './text'

type Entry = Schemas['StockEntry']

interface Props {
  /** Whose account it is. */
  id: string
  kinds: Entry['kind'][]
  unit: string
  colony?: string
  extra?: ReactNode
  send: (entry: Entry) => Promise<unknown>
  onDone: () => unknown
}

const account = (kinds: Entry['kind'][], unit: string): Panel<'id' | 'kind' | 'amount' | 'reason'> => ({
  title: '',
  entries: [
    { of: 'id', label: '', unseen: true },
    {
      of: 'kind',
      label: text.entryKind,
      options: Object.fromEntries(kinds.map((k) => [k, text.kinds[k]])),
      columns: kinds.length,
      unseen: kinds.length > 1 ? undefined : true,
    },
    { of: 'amount', label: (t) => text.amounts[t.kind as Entry['kind']], unit },
    { of: 'reason', as: 'words', label: text.reason, when: (t) => t.kind !== 'made' },
  ],
})

/** A new line in an account; what is typed stays until it is written. */
export function EntryForm({ id, kinds, unit, colony, extra, send, onDone }: Props) {
  const fresh = (kind: Entry['kind']) => ({ id: crypto.randomUUID(), kind, amount: '', reason: '' })
  const can = (kind: string | undefined) => kinds.find((k) => k === kind) ?? kinds[0]!
  const form = useForm(
    `entry.${id}`,
    account(kinds, unit),
    () => fresh(kinds[0]!),
    (kept) => ({ ...kept, kind: can(kept.kind) }),
  )
  const kind = can(form.typed.kind)
  const saving = useSaving(send, () => {
    form.set(fresh(kind))
    void onDone()
  })
  const body = form.body as Entry
  return (
    <Form
      className={styles.entryForm}
      form={{
        ...form,
        change: (recipe) => {
          saving.reset()
          form.change(recipe)
        },
      }}
      saving={saving}
      save={text.enter}
      mark="entry"
      quiet
      unfinished={(body.amount as number | undefined) === undefined}
      onSave={() => saving.save({ ...body, ...(kind === 'used' && colony ? { colony_id: colony } : {}) })}
      before={{ amount: kind === 'used' && extra }}
    />
  )
}
