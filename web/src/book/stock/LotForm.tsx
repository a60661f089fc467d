import { client, data, type Schemas } from '../../api/client'
import { begin, Form, type Panel, stale, useForm, useSaving } from '../../kit'
import styles from '../book.module.css'
import { text } from './text'

type Lot = Schemas['Lot']

const LOT: Panel<keyof Lot> = {
  title: text.addTitle,
  entries: [
    { of: 'id', label: '', unseen: true },
    { of: 'ingredient', label: text.what, options: text.ingredients, columns: 3 },
    { of: 'name', as: 'words', label: text.name },
    { of: 'supplier_no', as: 'words', label: text.supplierNo },
    { of: 'supplier', as: 'words', label: text.supplierName, most: 120 },
    { of: 'bought_on', as: 'day', label: text.boughtOn },
    { of: 'authorisation', as: 'words', label: text.authorisation, most: 60 },
    { of: 'expires_on', as: 'day', label: text.expires, hint: () => text.expiresHint },
    { of: 'amount', label: text.amount, unit: (t) => text.unitOf[t.ingredient ?? ''] ?? 'g' },
    { of: 'price', label: text.price },
  ],
}

const empty = () => ({ ...begin([LOT], {}), id: crypto.randomUUID() })

/** A new lot. */
export function LotForm() {
  const form = useForm('lot', LOT, empty)
  const adding = useSaving(
    () => data(client.POST('/api/lots', { body: form.body as Lot })),
    () => {
      form.set(empty())
      stale('lots')
    },
  )
  return (
    <Form
      className={styles.entryForm}
      form={form}
      saving={adding}
      save={text.add}
      mark="lot"
      unfinished={!form.typed.name?.trim()}
      onSave={() => adding.save()}
    />
  )
}
