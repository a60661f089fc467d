import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { client, data, type Schemas } from '../../api/client'
import { ask, Form, named, type Panel, stale, useSaving, useTyped, when, yardQuery } from '../../kit'
import styles from './Lines.module.css'
import { text } from './text'

type Line = Schemas['Application']
type Field = 'kind' | 'colony_id' | 'given_on' | 'hour' | 'amount' | 'giver' | 'batch_id' | 'why'

interface Props {
  line: Line
  onDone: () => void
}

/** Puts a line right: only what is changed is sent, with the reason. */
export function Correct({ line, onDone }: Props) {
  const yard = useQuery({ ...yardQuery(line.yard_id ?? ''), enabled: line.yard_id !== undefined })
  const batches = useQuery(ask(['batches'], '/api/batches', {}))
  if (!yard.data || !batches.data) return null
  const hives = { ...named(yard.data.stands), [line.colony_id]: line.colony ?? '' }
  const jars = Object.fromEntries(
    batches.data.batches
      .filter((b) => b.method === line.method)
      .map((b) => [b.id, `${text.batch(b.number)} ${b.name}`]),
  )
  return <CorrectForm line={line} onDone={onDone} hives={hives} jars={{ ...jars, '': text.noBatch }} />
}

const panel = (hives: Record<string, string>, jars: Record<string, string>): Panel<Field> => ({
  title: '',
  entries: [
    { of: 'kind', label: '', unseen: true },
    { of: 'colony_id', label: text.correctColony, list: true, options: hives },
    { of: 'given_on', as: 'day', label: text.correctGivenOn },
    { of: 'hour', as: 'words', label: text.correctHour, most: 5, hint: () => text.correctHourHint },
    { of: 'amount', label: text.correctAmount, when: when('kind', 'given') },
    { of: 'batch_id', label: text.correctBatch, list: true, options: jars, when: when('kind', 'given') },
    { of: 'giver', as: 'words', label: text.correctGiver, most: 80 },
    { of: 'why', as: 'words', label: text.correctWhy, most: 300 },
  ],
})

function CorrectForm({
  line,
  onDone,
  hives,
  jars,
}: Props & Record<'hives' | 'jars', Record<string, string>>) {
  const [id] = useState(() => crypto.randomUUID())
  const at = line.given_at ?? ''
  const stood = {
    kind: line.kind,
    colony_id: line.colony_id,
    given_on: at.slice(0, 10),
    hour: at.slice(11, 16),
    amount: String(line.amount ?? 0),
    giver: line.by ?? '',
    batch_id: line.batch_id ?? '',
  }
  const form = useTyped(panel(hives, jars), { ...stood, why: '' })
  const saving = useSaving(
    () =>
      data(
        client.POST('/api/register/{id}/correct', {
          params: { path: { id: line.id } },
          body: { id, ...changed(form.typed, form.body as { amount?: number }, stood) },
        }),
      ),
    () => {
      stale('register')
      onDone()
    },
  )
  return (
    <Form
      className={styles.amend}
      form={form}
      saving={saving}
      save={text.correctYes}
      mark="correct"
      quiet
      unfinished={!form.typed.why?.trim()}
      onSave={() => saving.save()}
      onCancel={onDone}
    />
  )
}

/** What of a line was changed. */
function changed(
  typed: Partial<Record<Field, string>>,
  { amount }: { amount?: number },
  stood: Record<string, string>,
): Omit<Schemas['Correction'], 'id'> {
  const differs = (f: Field) => typed[f] !== undefined && typed[f] !== stood[f]
  return {
    why: typed.why ?? '',
    ...(differs('colony_id') && { colony_id: typed.colony_id! }),
    ...((differs('given_on') || differs('hour')) && { given_on: `${typed.given_on}T${typed.hour}` }),
    ...(differs('amount') && amount !== undefined && { amount }),
    ...(differs('batch_id') && { batch_id: typed.batch_id! }),
    ...(differs('giver') && { giver: typed.giver! }),
  }
}
