import { useQuery } from '@tanstack/react-query'
import { client, data, type Schemas } from '../../api/client'
import {
  Form,
  named,
  type Panel,
  Pick,
  Press,
  queries,
  Said,
  tenths,
  useForm,
  useSaving,
  yardsQuery,
} from '../../kit'
import { VesselPick } from '../../method/vessels/VesselPick'
import shared from '../book.module.css'
import styles from './Portions.module.css'
import { text } from '../text'

const portion = (unit: string): Panel<keyof Schemas['Portion']> => ({
  title: '',
  entries: [
    { of: 'id', label: '', unseen: true },
    { of: 'vessel', as: 'words', label: text.vessel },
    { of: 'amount', label: text.portionAmount, unit },
    { of: 'yard_id', label: '', unseen: true },
  ],
})

interface Props {
  batch: Schemas['Batch']
  ledger: Schemas['Ledger']
  unit: string
}

/** What of a batch is decanted into vessels that are carried to yards. */
export function Portions({ batch, ledger, unit }: Props) {
  const yards = useQuery(yardsQuery)
  const empty = () => ({ id: crypto.randomUUID() })
  const form = useForm(`portion.${batch.id}`, portion(unit), empty)
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
  return (
    <div className={styles.portions} data-portions>
      <h3>{text.portions}</h3>
      {ledger.portions.map((p) => (
        <p key={p.id} data-portion={p.vessel}>
          <b>{p.vessel}</b> {tenths(p.amount)} {unit} {p.yard && text.forYard(p.yard)}
          <Press small says={text.pourBack} off={back.busy} onPress={() => back.save(p.id)} />
        </p>
      ))}
      {ledger.over_portioned && (
        <p className={shared.harm}>
          {text.overPortioned(tenths(ledger.in_portions), tenths(ledger.left), unit)}
        </p>
      )}
      <Said message={back.message} />
      <VesselPick
        ml={unit === 'mL' ? Number(form.typed.amount) : undefined}
        onChoose={(v) =>
          form.change((t) => {
            t.vessel = v.name
            t.amount = String(v.ml)
          })
        }
      />
      <Form
        className={shared.entryForm}
        form={form}
        saving={adding}
        save={text.decant}
        mark="portion"
        quiet
        unfinished={!form.typed.amount || !form.typed.vessel?.trim()}
        onSave={() => adding.save(form.body as Schemas['Portion'])}
      >
        <Pick
          label={text.portionYard}
          value={form.typed.yard_id ?? ''}
          options={named(yards.data)}
          none={text.noYard}
          onChange={(yard) => form.change((t) => void (t.yard_id = yard))}
        />
      </Form>
    </div>
  )
}
