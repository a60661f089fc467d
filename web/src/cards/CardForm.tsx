import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import TextField from '@mui/material/TextField'
import { useQueryClient } from '@tanstack/react-query'
import { produce } from 'immer'
import { client, type Schemas } from '../api/client'
import { Choice } from '../parts/Choice'
import { Faults } from '../parts/faults'
import { Field } from '../parts/Field'
import { Said } from '../parts/Said'
import { useSaving } from '../parts/useSaving'
import { useKept } from '../shell/useKept'
import styles from '../yards/yards.module.css'
import { text } from './text'

type Card = Schemas['LabelCard']

/** The figures of a card, as typed; empty is not said. */
const FIGURES = [
  'min_c',
  'max_c',
  'days_in_low',
  'days_in_high',
  'repeats',
  'days_apart',
  'withdrawal_days',
] as const
const DOSES = {
  dribble: ['full_seam_ml', 'cap_ml'],
  strip: ['each', 'frames'],
  pad: ['formic_g', 'each', 'visits'],
} as const
const LABELS = {
  full_seam_ml: text.full_seam_ml,
  cap_ml: text.cap_ml,
  frames: text.frames,
  formic_g: text.formic_g,
  visits: text.padVisits,
}

interface Typed {
  name: string
  contents: string
  preparation: string
  broodless: boolean
  out_of_honey: boolean
  supers: Card['content']['supers']
  by: string
  figures: Record<string, string>
}

const said = (v: number | undefined) => (v === undefined ? '' : String(v))

function typed({ name, method, content: k }: Card): Typed {
  const dose: object | undefined = method === 'dribble' ? k.rule : method === 'strip' ? k.strip : k.pad
  const figures = Object.fromEntries([
    ...FIGURES.map((f) => [f, said(k[f])]),
    ...DOSES[method].map((f) => [`dose.${f}`, said((dose as Record<string, number> | undefined)?.[f])]),
  ]) as Record<string, string>
  return {
    name,
    contents: k.contents ?? '',
    preparation: k.preparation ?? '',
    broodless: k.broodless ?? false,
    out_of_honey: k.out_of_honey ?? false,
    supers: k.supers,
    by: k.strip?.by ?? k.pad?.per ?? '',
    figures,
  }
}

/** What is typed, as it is sent; what is no number goes as none. */
function content(t: Typed, card: Card): Card['content'] {
  const figure = (f: string) => {
    const text = (t.figures[f] ?? '').trim().replace(',', '.')
    return text === '' || Number.isNaN(Number(text)) ? undefined : Number(text)
  }
  const dose = Object.fromEntries(DOSES[card.method].map((f) => [f, figure(`dose.${f}`)]))
  const { contents, preparation, broodless, out_of_honey, supers } = t
  return {
    ...card.content,
    contents,
    preparation,
    broodless,
    out_of_honey,
    supers,
    ...Object.fromEntries(FIGURES.map((f) => [f, figure(f)])),
    min_c: figure('min_c') ?? NaN,
    max_c: figure('max_c') ?? NaN,
    ...(card.method === 'dribble' && { rule: dose }),
    ...(card.method === 'strip' && { strip: { ...dose, by: t.by as 'bees' } }),
    ...(card.method === 'pad' &&
      card.content.pad && {
        pad: {
          ...card.content.pad,
          ...dose,
          per: t.by as 'colony',
          formic_g: dose['formic_g'] ?? 0,
          each: dose['each'] ?? 0,
          visits: dose['visits'] ?? 1,
        },
      }),
  }
}

/** A label, copied field by field. */
export function CardForm({ card, onClose }: { card: Card; onClose: () => void }) {
  const queries = useQueryClient()
  const isNew = !card.version
  const form = useKept(`card.${isNew ? card.method : card.id}`, () => typed(card))
  const v = form.value
  const change = (recipe: (t: Typed) => void) => form.set(produce(v, recipe))
  const saving = useSaving(
    async () => {
      const body = {
        id: card.id,
        name: v.name,
        method: card.method,
        version: card.version,
        content: content(v, card),
      }
      return isNew
        ? (await client.POST('/api/cards', { body })).data
        : (await client.PUT('/api/cards/{id}', { params: { path: { id: card.id } }, body })).data
    },
    () => {
      form.putDown()
      void queries.invalidateQueries({ queryKey: ['cards'] })
      void queries.invalidateQueries({ queryKey: ['decide'] })
      onClose()
    },
  )
  const figure = (f: string, label: string, unit?: string, path = `content.${f}`) => (
    <Field
      key={f}
      label={label}
      path={path}
      {...(unit && { unit })}
      value={v.figures[f] ?? ''}
      onChange={(x) => change((t) => void (t.figures[f] = x))}
    />
  )
  const tick = (key: 'broodless' | 'out_of_honey') => (
    <FormControlLabel
      label={text[key]}
      control={<Checkbox checked={v[key]} onChange={(_, on) => change((t) => void (t[key] = on))} />}
    />
  )
  const doseUnit: Record<string, string> = { full_seam_ml: 'mL', cap_ml: 'mL', formic_g: 'g' }
  return (
    <Faults value={saving.faults}>
      <form
        className={styles.form}
        data-card-form
        onSubmit={(e) => {
          e.preventDefault()
          saving.save()
        }}
      >
        <TextField
          label={text.name}
          value={v.name}
          error={'name' in saving.faults}
          helperText={saving.faults['name']}
          onChange={(e) => change((t) => void (t.name = e.target.value))}
          slotProps={{ htmlInput: { 'data-field': 'name', maxLength: 80 } }}
        />
        {(['contents', 'preparation'] as const).map((k) => (
          <TextField
            key={k}
            multiline
            label={text[k]}
            value={v[k]}
            onChange={(e) => change((t) => void (t[k] = e.target.value))}
          />
        ))}
        <h2>{text.dose}</h2>
        {card.method !== 'dribble' && (
          <Choice<string>
            label={text.dose}
            columns={3}
            value={v.by}
            options={card.method === 'strip' ? text.stripBy : text.padPer}
            onChange={(by) => change((t) => void (t.by = by))}
          />
        )}
        {DOSES[card.method].map((f) =>
          figure(
            `dose.${f}`,
            f === 'each' ? (card.method === 'pad' ? text.padEach : text.each) : LABELS[f],
            doseUnit[f],
            `content.${card.method === 'dribble' ? 'rule' : card.method}.${f}`,
          ),
        )}
        <h2>{text.conditions}</h2>
        <div className={styles.two}>
          {figure('min_c', text.min_c, '°C')}
          {figure('max_c', text.max_c, '°C')}
        </div>
        <Choice
          label={text.supers}
          columns={3}
          value={v.supers}
          options={text.supersWords}
          onChange={(s) => change((t) => void (t.supers = s))}
        />
        <div>
          {tick('broodless')}
          {tick('out_of_honey')}
        </div>
        <div className={styles.two}>
          {figure('days_in_low', text.days_in_low)}
          {figure('days_in_high', text.days_in_high)}
          {figure('repeats', text.repeats)}
          {figure('days_apart', text.days_apart)}
          {figure('withdrawal_days', text.withdrawal_days)}
        </div>
        <Said message={saving.stale ? text.stale : saving.message} />
        <div className={styles.bar}>
          <Button type="submit" variant="contained" disabled={saving.busy}>
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
    </Faults>
  )
}
