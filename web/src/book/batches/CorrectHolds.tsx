import { useState } from 'react'
import { client, data, type Schemas } from '../../api/client'
import { Faults, Field, onSent, Press, readOne, stale, useSaving } from '../../kit'
import { text } from '../text'

type Batch = Schemas['Batch']

/** What a batch really holds, where that was found out afterwards: its doses are amended and marked. */
export function CorrectHolds({ batch }: { batch: Batch }) {
  const [open, setOpen] = useState(false)
  if (!open)
    return (
      <p>
        <Press says={text.correctHolds} onPress={() => setOpen(true)} data-correct-holds />
      </p>
    )
  return <CorrectForm batch={batch} onDone={() => setOpen(false)} />
}

function CorrectForm({ batch, onDone }: { batch: Batch; onDone: () => void }) {
  const [id] = useState(() => crypto.randomUUID())
  const [typed, setTyped] = useState<Record<string, string>>({})
  const [why, setWhy] = useState('')
  const read = batch.composition.map((c) => ({ ...c, ...readOne(c.name, typed[c.name] ?? '') }))
  const changed = read.flatMap(({ name, figure }) => (figure === undefined ? [] : [{ name, grams: figure }]))
  const faults = Object.assign({}, ...read.map((r) => r.faults)) as Record<string, string>
  const saving = useSaving(
    () =>
      data(
        client.POST('/api/batches/{id}/composition', {
          params: { path: { id: batch.id } },
          body: { id, why: why.trim(), components: changed },
        }),
      ),
    () => {
      stale('batches')
      stale('register')
      onDone()
    },
  )
  const ready = changed.length > 0 && Object.keys(faults).length === 0 && why.trim() !== ''
  return (
    <form onSubmit={onSent(() => saving.save())} data-form="holds">
      <p>{text.correctHoldsHint}</p>
      <Faults value={{ ...faults, ...(saving.message ? { why: saving.message } : {}) }}>
        {batch.composition.map((c) => (
          <Field
            key={c.name}
            label={text.componentName(c.name)}
            unit="g"
            path={c.name}
            placeholder={String(Math.round(c.grams * 10) / 10)}
            value={typed[c.name] ?? ''}
            onChange={(v) => setTyped({ ...typed, [c.name]: v })}
          />
        ))}
        <Field text label={text.correctHoldsWhy} path="why" most={300} value={why} onChange={setWhy} />
      </Faults>
      <Press submit main harm says={text.correctHoldsYes} off={!ready || saving.busy} data-holds-yes />
      <Press says={text.cancel} onPress={onDone} />
    </form>
  )
}
