import Button from '@mui/material/Button'
import NativeSelect from '@mui/material/NativeSelect'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { client, data, type Schemas } from '../../api/client'
import { Faults } from '../../kit/faults'
import { Field } from '../../kit/Field'
import { Said } from '../../kit/Said'
import { useSaving } from '../../kit/useSaving'
import { useKept } from '../../kit/useKept'
import { readOne } from '../../kit/reader'
import { tenths } from '../../kit/format'
import { yardsQuery } from '../../kit/queries'
import shared from '../book.module.css'
import styles from './Portions.module.css'
import { text } from '../text'

interface Props {
  batch: Schemas['Batch']
  ledger: Schemas['Ledger']
  unit: string
}

/** What of a batch is decanted into vessels that are carried to yards. */
export function Portions({ batch, ledger, unit }: Props) {
  const queries = useQueryClient()
  const yards = useQuery(yardsQuery)
  const empty = () => ({ id: crypto.randomUUID(), vessel: '', amount: '', yard: '' })
  const form = useKept(`portion.${batch.id}`, empty)
  const { value } = form
  const changed = () => queries.invalidateQueries({ queryKey: ['batches', batch.id] })
  const adding = useSaving(
    (body: Schemas['Portion']) =>
      data(client.POST('/api/batches/{id}/portions', { params: { path: { id: batch.id } }, body })),
    () => {
      form.set(empty())
      void changed()
    },
  )
  const back = useSaving(
    (portion: string) =>
      data(
        client.DELETE('/api/batches/{id}/portions/{portion}', {
          params: { path: { id: batch.id, portion } },
        }),
      ),
    () => void changed(),
  )
  const { figure: amount, faults: wrong } = readOne('amount', value.amount)
  return (
    <div className={styles.portions} data-portions>
      <h3>{text.portions}</h3>
      {ledger.portions.map((p) => (
        <p key={p.id} data-portion={p.vessel}>
          <b>{p.vessel}</b> {tenths(p.amount)} {unit} {p.yard && text.forYard(p.yard)}
          <Button size="small" disabled={back.busy} onClick={() => back.save(p.id)}>
            {text.pourBack}
          </Button>
        </p>
      ))}
      {ledger.over_portioned && (
        <p className={shared.harm}>
          {text.overPortioned(tenths(ledger.in_portions), tenths(ledger.left), unit)}
        </p>
      )}
      <Said message={back.message} />
      <Faults value={{ ...adding.faults, ...wrong }}>
        <form
          className={shared.entryForm}
          onSubmit={(e) => {
            e.preventDefault()
            if (amount !== undefined)
              adding.save({
                id: value.id,
                vessel: value.vessel,
                amount,
                ...(value.yard ? { yard_id: value.yard } : {}),
              })
          }}
        >
          <Field
            text
            label={text.vessel}
            path="vessel"
            value={value.vessel}
            onChange={(v) => form.set({ ...value, vessel: v })}
          />
          <Field
            label={text.portionAmount}
            unit={unit}
            path="amount"
            value={value.amount}
            onChange={(v) => form.set({ ...value, amount: v })}
          />
          <NativeSelect
            value={value.yard}
            inputProps={{ 'aria-label': text.portionYard }}
            onChange={(e) => form.set({ ...value, yard: e.target.value })}
          >
            <option value="">{text.noYard}</option>
            {yards.data?.map((y) => (
              <option key={y.id} value={y.id}>
                {y.name}
              </option>
            ))}
          </NativeSelect>
          <Said message={adding.message} />
          <Button
            type="submit"
            variant="outlined"
            disabled={amount === undefined || value.vessel.trim() === '' || adding.busy}
            data-decant
          >
            {text.decant}
          </Button>
        </form>
      </Faults>
    </div>
  )
}
