import Button from '@mui/material/Button'
import NativeSelect from '@mui/material/NativeSelect'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { client, type Schemas } from '../api/client'
import { Faults } from '../parts/faults'
import { Field } from '../parts/Field'
import { Said } from '../parts/Said'
import { useSaving } from '../parts/useSaving'
import { useKept } from '../shell/useKept'
import { readOne } from '../units/reader'
import { tenths } from '../units/format'
import { yardsQuery } from '../yards/useYard'
import styles from './book.module.css'
import { text } from './text'

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
    async (body: Schemas['Portion']) =>
      (await client.POST('/api/batches/{id}/portions', { params: { path: { id: batch.id } }, body })).data,
    () => {
      form.set(empty())
      void changed()
    },
  )
  const back = useSaving(
    async (portion: string) =>
      (
        await client.DELETE('/api/batches/{id}/portions/{portion}', {
          params: { path: { id: batch.id, portion } },
        })
      ).data,
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
        <p className={styles.harm}>
          {text.overPortioned(tenths(ledger.in_portions), tenths(ledger.left), unit)}
        </p>
      )}
      <Said message={back.message} />
      <Faults value={{ ...adding.faults, ...wrong }}>
        <form
          className={styles.entryForm}
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
