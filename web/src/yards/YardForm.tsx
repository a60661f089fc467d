import { client, data, type Schemas } from '../api/client'
import { adopt, begin, Form, type Panel, useForm, useSaving } from '../kit'
import page from '../kit/page.module.css'
import { text } from './text'
import { changed } from './changed'

type Yard = Schemas['Yard']

interface Props {
  /** The yard that is changed; left out for a new one. */
  yard?: Yard
  onClose: () => void
}

type Key = 'id' | 'name' | 'place' | 'latitude' | 'deep_from' | 'deep_to' | 'registration_no' | 'notes'

const YARD = (isNew: boolean): Panel<Key> => ({
  title: '',
  entries: [
    { of: 'id', label: '', unseen: true },
    { of: 'name', as: 'words', label: text.name, most: 60 },
    { of: 'place', as: 'words', label: text.place },
    { of: 'latitude', label: text.latitude, hint: () => text.latitudeHint },
    { of: 'deep_from', as: 'words', label: text.deep_from, hint: () => text.deepHint, when: () => !isNew },
    { of: 'deep_to', as: 'words', label: text.deep_to, when: () => !isNew },
    { of: 'registration_no', as: 'words', label: text.registrationNo, most: 60 },
    { of: 'notes', as: 'lines', label: text.notes },
  ],
})
const [FRESH, CHANGED] = [YARD(true), YARD(false)]

/** A yard's name and place. */
export function YardForm({ yard, onClose }: Props) {
  const panel = yard ? CHANGED : FRESH
  const form = useForm(`yard.${yard?.id ?? 'new'}`, panel, () => ({
    ...adopt([panel], yard ?? {}, begin([panel], {})),
    id: yard?.id ?? crypto.randomUUID(),
  }))
  const close = () => {
    form.putDown()
    onClose()
  }
  const saving = useSaving(
    async () => {
      const body = form.body as Yard
      if (!yard) return data(client.POST('/api/yards', { body }))
      // Left as it was shown, the deep cluster goes on to follow the latitude.
      const { deep_from, deep_to, ...rest } = body
      const untouched =
        (deep_from ?? '') === (yard.deep_from ?? '') && (deep_to ?? '') === (yard.deep_to ?? '')
      return data(
        client.PUT('/api/yards/{id}', {
          params: { path: { id: yard.id } },
          body: { ...(untouched ? rest : body), version: yard.version },
        }),
      )
    },
    () => {
      changed()
      close()
    },
  )
  return (
    <Form
      className={page.form}
      form={form}
      saving={saving}
      save={text.save}
      onSave={() => saving.save()}
      onCancel={close}
    />
  )
}
