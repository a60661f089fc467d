import Button from '@mui/material/Button'
import NativeSelect from '@mui/material/NativeSelect'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { client, data, type Schemas } from '../../api/client'
import { Choice } from '../../kit/Choice'
import { Faults } from '../../kit/faults'
import { Field } from '../../kit/Field'
import { Said } from '../../kit/Said'
import { useSaving } from '../../kit/useSaving'
import { useKept } from '../../kit/useKept'
import { useStart } from '../../kit/useStart'
import { Reader } from '../../kit/reader'
import { yardQuery, yardsQuery } from '../../kit/queries'
import styles from './OtherForm.module.css'
import { text } from './text'

interface Typed {
  /** Of the lines, by colony. */
  ids: Record<string, string>
  yard: string
  colony: string
  method: Schemas['OtherTreatment']['method']
  product: string
  on: string
  amount: string
  days: string
  rule: string
  note: string
}

/** What was given outside a job, in a short form: it counts in what fits a colony. */
export function OtherForm({ onDone }: { onDone: () => void }) {
  const queries = useQueryClient()
  const now = useStart().now.slice(0, 10)
  const form = useKept<Typed>('other', () => ({
    ids: {},
    yard: '',
    colony: '',
    method: 'vapour',
    product: '',
    on: now,
    amount: '',
    days: '',
    rule: '',
    note: '',
  }))
  const { value } = form
  const yards = useQuery(yardsQuery)
  const chosen = useQuery({ ...yardQuery(value.yard), enabled: value.yard !== '' })
  const stands = (chosen.data?.stands ?? []).filter((s) => value.colony === '' || s.id === value.colony)
  const reader = new Reader('metric')
  const saving = useSaving(
    (body: Schemas['OtherTreatment']) => data(client.POST('/api/register', { body })),
    () => {
      form.putDown()
      void queries.invalidateQueries({ queryKey: ['register'] })
      onDone()
    },
  )
  const change = (part: Partial<typeof value>) => form.set({ ...value, ...part })
  const body = {
    method: value.method,
    product: value.product,
    given_on: value.on,
    amount: reader.number('amount', value.amount) ?? 0,
    unit: value.method === 'strip' || value.method === 'pad' ? ('pieces' as const) : ('g' as const),
    withdrawal_days: reader.whole('withdrawal_days', value.days) ?? 0,
    rule_worked_under: value.rule,
    note: value.note,
  }
  const record = () => {
    // An id a colony, kept with the form: what is sent again counts once.
    const ids = { ...value.ids }
    for (const s of stands) ids[s.id] ??= crypto.randomUUID()
    change({ ids })
    saving.save({ ...body, colonies: stands.map((s) => ({ id: ids[s.id]!, colony_id: s.id })) })
  }
  return (
    <form
      className={styles.other}
      onSubmit={(e) => {
        e.preventDefault()
        record()
      }}
      data-other-form
    >
      <h2>{text.other}</h2>
      <p className="quiet">{text.otherHint}</p>
      <Faults value={{ ...saving.faults, ...reader.faults }}>
        <div className={styles.where}>
          <NativeSelect
            value={value.yard}
            inputProps={{ 'aria-label': text.yard }}
            onChange={(e) => change({ yard: e.target.value, colony: '' })}
          >
            <option value="">–</option>
            {yards.data?.map((y) => (
              <option key={y.id} value={y.id}>
                {y.name}
              </option>
            ))}
          </NativeSelect>
          <NativeSelect
            value={value.colony}
            inputProps={{ 'aria-label': text.colony }}
            onChange={(e) => change({ colony: e.target.value })}
          >
            <option value="">{text.whole}</option>
            {chosen.data?.stands.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </NativeSelect>
        </div>
        <Choice
          label={text.method}
          columns={5}
          value={value.method}
          options={(['vapour', 'strip', 'pad', 'dribble', 'other'] as const).map(
            (m) => [m, text.methods[m] ?? m] as const,
          )}
          onChange={(m) => change({ method: m })}
        />
        <Field
          text
          label={text.product}
          path="product"
          value={value.product}
          onChange={(v) => change({ product: v })}
        />
        <Field
          text
          label={text.givenOn}
          path="given_on"
          value={value.on}
          onChange={(v) => change({ on: v })}
        />
        <Field
          label={text.amount}
          unit={text.units[body.unit] ?? ''}
          path="amount"
          value={value.amount}
          onChange={(v) => change({ amount: v })}
        />
        <Field
          label={text.withdrawalDays}
          path="withdrawal_days"
          value={value.days}
          onChange={(v) => change({ days: v })}
        />
        <Field
          text
          label={text.rule}
          path="rule_worked_under"
          value={value.rule}
          onChange={(v) => change({ rule: v })}
        />
        <Field text label={text.note} path="note" value={value.note} onChange={(v) => change({ note: v })} />
        <Said message={saving.message} />
        <Button
          type="submit"
          variant="contained"
          disabled={saving.busy || stands.length === 0 || !reader.readable}
          data-record
        >
          {text.record}
        </Button>
        <Button onClick={onDone}>{text.cancel}</Button>
      </Faults>
    </form>
  )
}
