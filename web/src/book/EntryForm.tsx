import Button from '@mui/material/Button'
import type { ReactNode } from 'react'
import type { Schemas } from '../api/client'
import { Choice } from '../kit/Choice'
import { Faults } from '../kit/faults'
import { Field } from '../kit/Field'
import { Said } from '../kit/Said'
import { useSaving } from '../kit/useSaving'
import { useKept } from '../kit/useKept'
import { readOne } from '../kit/reader'
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

/** A new line in an account; what is typed stays until it is written. */
export function EntryForm({ id, kinds, unit, colony, extra, send, onDone }: Props) {
  const form = useKept(`entry.${id}`, () => ({
    id: crypto.randomUUID(),
    kind: kinds[0]!,
    amount: '',
    reason: '',
  }))
  const { value } = form
  const kind = kinds.includes(value.kind) ? value.kind : kinds[0]!
  const { figure: amount, faults: wrong } = readOne('amount', value.amount)
  const saving = useSaving(send, () => {
    form.set({ id: crypto.randomUUID(), kind, amount: '', reason: '' })
    void onDone()
  })
  const change = (part: Partial<typeof value>) => {
    saving.reset()
    form.set({ ...value, ...part })
  }
  return (
    <Faults value={{ ...saving.faults, ...wrong }}>
      <form
        className={styles.entryForm}
        onSubmit={(e) => {
          e.preventDefault()
          if (amount !== undefined)
            saving.save({
              id: value.id,
              kind,
              amount,
              reason: value.reason,
              ...(kind === 'used' && colony ? { colony_id: colony } : {}),
            })
        }}
      >
        {kinds.length > 1 && (
          <Choice
            label={text.entryKind}
            columns={kinds.length}
            value={kind}
            options={kinds.map((k) => [k, text.kinds[k]] as const)}
            onChange={(k) => change({ kind: k })}
            path="kind"
          />
        )}
        {kind === 'used' && extra}
        <Field
          label={text.amounts[kind]}
          unit={unit}
          path="amount"
          value={value.amount}
          onChange={(v) => change({ amount: v })}
        />
        {kind !== 'made' && (
          <Field
            text
            label={text.reason}
            path="reason"
            value={value.reason}
            onChange={(v) => change({ reason: v })}
          />
        )}
        <Said message={saving.message} />
        <Button type="submit" variant="outlined" disabled={amount === undefined || saving.busy} data-enter>
          {text.enter}
        </Button>
      </form>
    </Faults>
  )
}
