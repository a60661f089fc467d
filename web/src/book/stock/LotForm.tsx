import Button from '@mui/material/Button'
import { useQueryClient } from '@tanstack/react-query'
import { client, data, type Schemas } from '../../api/client'
import styles from '../book.module.css'
import { Choice } from '../../kit/Choice'
import { Faults } from '../../kit/faults'
import { Field } from '../../kit/Field'
import { Said } from '../../kit/Said'
import { useSaving } from '../../kit/useSaving'
import { useKept } from '../../kit/useKept'
import { Reader } from '../../kit/reader'
import { text } from './text'

type Ingredient = Schemas['Lot']['ingredient']

const empty = () => ({
  id: crypto.randomUUID(),
  ingredient: 'acid' as Ingredient,
  name: '',
  supplier: '',
  expires: '',
  amount: '',
  price: '',
})

/** A new lot. */
export function LotForm() {
  const queries = useQueryClient()
  const form = useKept('lot', empty)
  const { value } = form
  const reader = new Reader('metric')
  const body: Schemas['Lot'] = {
    id: value.id,
    ingredient: value.ingredient,
    name: value.name,
    supplier_no: value.supplier,
    expires_on: value.expires.trim(),
    amount: reader.number('amount', value.amount) ?? 0,
    price: reader.number('price', value.price) ?? 0,
  }
  const adding = useSaving(
    () => data(client.POST('/api/lots', { body })),
    () => {
      form.set(empty())
      void queries.invalidateQueries({ queryKey: ['lots'] })
    },
  )
  const change = (part: Partial<typeof value>) => form.set({ ...value, ...part })
  return (
    <Faults value={{ ...adding.faults, ...reader.faults }}>
      <form
        className={styles.entryForm}
        onSubmit={(e) => {
          e.preventDefault()
          adding.save(undefined)
        }}
      >
        <h2>{text.addTitle}</h2>
        <Choice
          label={text.what}
          columns={3}
          value={value.ingredient}
          options={text.ingredients}
          onChange={(ingredient) => change({ ingredient })}
          path="ingredient"
        />
        <Field text label={text.name} path="name" value={value.name} onChange={(v) => change({ name: v })} />
        <Field
          text
          label={text.supplierNo}
          path="supplier_no"
          value={value.supplier}
          onChange={(v) => change({ supplier: v })}
        />
        <Field
          text
          label={text.expires}
          hint={text.expiresHint}
          path="expires_on"
          value={value.expires}
          onChange={(v) => change({ expires: v })}
        />
        <Field
          label={text.amount}
          unit={text.unitOf[value.ingredient] ?? 'g'}
          path="amount"
          value={value.amount}
          onChange={(v) => change({ amount: v })}
        />
        <Field label={text.price} path="price" value={value.price} onChange={(v) => change({ price: v })} />
        <Said message={adding.message} />
        <Button
          type="submit"
          variant="contained"
          disabled={adding.busy || value.name.trim() === '' || !reader.readable}
          data-add-lot
        >
          {text.add}
        </Button>
      </form>
    </Faults>
  )
}
