import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { client, data, type Schemas } from '../api/client'
import { Said } from '../kit/Said'
import { useSaving } from '../kit/useSaving'
import { useKept } from '../kit/useKept'
import { Reader } from '../kit/reader'
import { text } from './text'
import { useChanged } from './useChanged'
import page from '../kit/page.module.css'

interface Props {
  /** The yard that is changed; left out for a new one. */
  yard?: Schemas['Yard']
  onClose: () => void
}

/** A yard's name and place. */
export function YardForm({ yard, onClose }: Props) {
  const changed = useChanged()
  const form = useKept(`yard.${yard?.id ?? 'new'}`, () => ({
    id: crypto.randomUUID(),
    name: yard?.name ?? '',
    place: yard?.place ?? '',
    latitude: yard ? String(yard.latitude) : '',
    deep_from: yard?.deep_from ?? '',
    deep_to: yard?.deep_to ?? '',
    notes: yard?.notes ?? '',
  }))
  const v = form.value
  const reader = new Reader('metric')
  const latitude = reader.number('latitude', v.latitude)
  const saving = useSaving(
    async () => {
      // Left as it was shown, it goes on to follow the latitude.
      const untouched = v.deep_from === (yard?.deep_from ?? '') && v.deep_to === (yard?.deep_to ?? '')
      const deep = untouched ? { deep_from: undefined, deep_to: undefined } : {}
      const body = {
        ...v,
        ...deep,
        latitude,
        version: yard?.version,
      }
      return yard
        ? data(client.PUT('/api/yards/{id}', { params: { path: { id: yard.id } }, body }))
        : data(client.POST('/api/yards', { body }))
    },
    () => {
      form.putDown()
      changed()
      onClose()
    },
  )
  const faults: Record<string, string> = { ...saving.faults, ...reader.faults }
  const field = (key: 'name' | 'place' | 'latitude' | 'deep_from' | 'deep_to' | 'notes', hint?: string) => (
    <TextField
      label={text[key]}
      value={v[key]}
      multiline={key === 'notes'}
      error={key in faults}
      helperText={faults[key] ?? hint}
      onChange={(e) => form.set({ ...v, [key]: e.target.value })}
      slotProps={{ htmlInput: { 'data-field': key } }}
    />
  )
  return (
    <form
      className={page.form}
      onSubmit={(e) => {
        e.preventDefault()
        saving.save()
      }}
    >
      {field('name')}
      {field('place')}
      {field('latitude', text.latitudeHint)}
      {yard && field('deep_from', text.deepHint)}
      {yard && field('deep_to')}
      {field('notes')}
      <Said message={Object.keys(faults).length > 0 ? undefined : saving.message} />
      <div className={page.bar}>
        <Button type="submit" variant="contained" disabled={saving.busy || !reader.readable}>
          {text.save}
        </Button>
        <Button
          onClick={() => {
            form.putDown()
            onClose()
          }}
        >
          {text.cancel}
        </Button>
      </div>
    </form>
  )
}
