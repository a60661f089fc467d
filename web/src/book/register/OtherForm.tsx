import { useQuery } from '@tanstack/react-query'
import { client, data, type Schemas } from '../../api/client'
import {
  begin,
  Form,
  named,
  type Panel,
  Pick,
  stale,
  useForm,
  useKept,
  useSaving,
  useStart,
  yardQuery,
  yardsQuery,
} from '../../kit'
import styles from './OtherForm.module.css'
import { text } from './text'

type Treatment = Schemas['OtherTreatment']

/** Which colonies it was given to, and the ids of their lines. */
interface Where {
  yard: string
  colony: string
  ids: Record<string, string>
}

const METHODS: readonly Treatment['method'][] = ['vapour', 'strip', 'pad', 'dribble', 'other']
const inPieces = (method: string | undefined) => method === 'strip' || method === 'pad'

const OTHER: Panel<keyof Treatment> = {
  title: text.other,
  entries: [
    {
      of: 'method',
      label: text.method,
      options: Object.fromEntries(METHODS.map((m) => [m, text.methods[m] ?? m])),
      columns: METHODS.length,
    },
    { of: 'product', as: 'words', label: text.product },
    { of: 'given_on', as: 'day', label: text.givenOn },
    { of: 'amount', label: text.amount, unit: (t) => text.units[inPieces(t.method) ? 'pieces' : 'g'] },
    { of: 'withdrawal_days', as: 'whole', label: text.withdrawalDays },
    { of: 'rule_worked_under', as: 'words', label: text.rule },
    { of: 'note', as: 'words', label: text.note },
  ],
}

/** What was given outside a job, in a short form: it counts in what fits a colony. */
export function OtherForm({ onDone }: { onDone: () => void }) {
  const given_on = useStart().now.slice(0, 10)
  const form = useForm('other', OTHER, () => ({ ...begin([OTHER], {}), given_on }))
  // An id a colony, kept with the form: what is sent again counts once.
  const where = useKept<Where>('other.where', () => ({ yard: '', colony: '', ids: {} }))
  const { yard, colony, ids } = where.value
  const yards = useQuery(yardsQuery)
  const chosen = useQuery({ ...yardQuery(yard), enabled: yard !== '' })
  const stands = chosen.data?.stands ?? []
  const meant = stands.filter((s) => colony === '' || s.id === colony)
  const saving = useSaving(
    (body: Treatment) => data(client.POST('/api/register', { body })),
    () => {
      form.putDown()
      where.putDown()
      stale('register')
      onDone()
    },
  )
  const record = () => {
    const all = { ...ids }
    for (const s of meant) all[s.id] ??= crypto.randomUUID()
    where.set({ yard, colony, ids: all })
    saving.save({
      amount: 0,
      ...(form.body as Treatment),
      unit: inPieces(form.typed.method) ? 'pieces' : 'g',
      colonies: meant.map((s) => ({ id: all[s.id]!, colony_id: s.id })),
    })
  }
  return (
    <Form
      className={styles.other}
      form={form}
      saving={saving}
      save={text.record}
      mark="other"
      unfinished={meant.length === 0}
      onSave={record}
      onCancel={onDone}
      before={{
        method: (
          <>
            <p className="quiet">{text.otherHint}</p>
            <div className={styles.where}>
              <Pick
                label={text.yard}
                value={yard}
                options={named(yards.data)}
                none="–"
                onChange={(id) => where.set({ yard: id, colony: '', ids })}
              />
              <Pick
                label={text.colony}
                value={colony}
                options={named(stands)}
                none={text.whole}
                onChange={(id) => where.set({ yard, colony: id, ids })}
              />
            </div>
          </>
        ),
      }}
    />
  )
}
