import { client, data, type Schemas } from '../api/client'
import { begin, date, Form, may, type Panel, stale, useForm, useSaving, useStart } from '../kit'
import styles from './SpentAccount.module.css'
import { text } from './text'

type Key = 'id' | 'kind' | 'pieces' | 'note'

const PANEL: Panel<Key> = {
  title: '',
  entries: [
    { of: 'id', label: '', unseen: true },
    { of: 'kind', label: text.spentKind, options: text.spentKinds },
    { of: 'pieces', as: 'whole', label: text.spentPieces },
    {
      of: 'note',
      as: 'words',
      most: 300,
      label: (t) => text.spentWhere[t.kind as keyof typeof text.spentWhere],
    },
  ],
}

/** What came out of the hives: how many are not disposed of, and what becomes of them. */
export function SpentAccount({ of }: { of: Schemas['Spent'] }) {
  const helper = may(useStart().me?.role, 'helper')
  const fresh = () => ({
    ...begin([PANEL], {}),
    id: crypto.randomUUID(),
    kind: 'disposed',
    pieces: String(Math.max(1, of.left)),
  })
  const form = useForm(`spent.${of.job_id}`, PANEL, fresh)
  const saving = useSaving(
    () =>
      data(
        client.POST('/api/jobs/{id}/spent', {
          params: { path: { id: of.job_id } },
          body: form.body as Schemas['SpendPieces'],
        }),
      ),
    () => {
      form.putDown()
      stale('jobs', 'spent')
    },
  )
  return (
    <section className={styles.spent} data-spent={of.left}>
      <h3>{text.spent}</h3>
      <p className={styles.left}>
        <b>{of.left}</b> {of.left === 0 ? text.spentGone : text.spentLeft}
      </p>
      <p>
        {text.spentCame(of.came, of.missing ?? 0)} {of.where && text.spentAt(of.where)}
      </p>
      {of.left < 0 && <p className={styles.over}>{text.spentOver}</p>}
      <p>{of.label_says ?? text.spentLabel}</p>
      {of.entries.map((e) => (
        <p key={e.id} className="quiet">
          {date(e.on ?? '')}: {text.spentEntry[e.kind](e.pieces)}, {e.note}
        </p>
      ))}
      {helper && of.left > 0 && (
        <div className="no-print">
          <Form
            form={form}
            saving={saving}
            save={text.spentSave}
            mark="spent"
            quiet
            onSave={() => saving.save(undefined)}
          />
        </div>
      )}
    </section>
  )
}
