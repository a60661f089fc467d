import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import TextField from '@mui/material/TextField'
import { useQueryClient } from '@tanstack/react-query'
import { produce } from 'immer'
import { client, data } from '../../api/client'
import { Choice } from '../../kit/Choice'
import { Faults } from '../../kit/faults'
import { Field } from '../../kit/Field'
import { Said } from '../../kit/Said'
import { useSaving } from '../../kit/useSaving'
import { useKept } from '../../kit/useKept'
import page from '../../kit/page.module.css'
import { text } from './text'
import { DOSES, partOf, read, typed, type Card, type Typed } from './typed'

const LABELS = {
  full_seam_ml: text.full_seam_ml,
  cap_ml: text.cap_ml,
  frames: text.frames,
  formic_g: text.formic_g,
  visits: text.padVisits,
  ml: text.amountMl,
  each: text.each,
}
const UNITS: Record<string, string> = { full_seam_ml: 'mL', cap_ml: 'mL', formic_g: 'g', ml: 'mL' }
const BY = { strip: text.stripBy, pad: text.padPer, amount: text.amountPer } as const

/** A label, copied field by field. */
export function CardForm({ card, onClose }: { card: Card; onClose: () => void }) {
  const queries = useQueryClient()
  const isNew = !card.version
  const part = partOf(card.content)
  const form = useKept(`card.${isNew ? part : card.id}`, () => typed(card))
  const v = form.value
  const change = (recipe: (t: Typed) => void) => form.set(produce(v, recipe))
  const { content, faults } = read(v, card.content)
  const saving = useSaving(
    async () => {
      const body = {
        id: card.id,
        name: v.name,
        method: card.method,
        version: card.version,
        content,
      }
      return isNew
        ? data(client.POST('/api/cards', { body }))
        : data(client.PUT('/api/cards/{id}', { params: { path: { id: card.id } }, body }))
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
  const tick = (key: 'broodless' | 'out_of_honey' | 'swap') => (
    <FormControlLabel
      label={text[key]}
      control={<Checkbox checked={v[key] ?? false} onChange={(_, on) => change((t) => void (t[key] = on))} />}
    />
  )
  return (
    <Faults value={{ ...saving.faults, ...faults }}>
      <form
        className={page.form}
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
        {part !== 'rule' && (
          <Choice<string>
            label={text.dose}
            columns={3}
            value={v.by}
            options={BY[part]}
            onChange={(by) => change((t) => void (t.by = by))}
          />
        )}
        {DOSES[part].map((f) =>
          figure(
            `dose.${f}`,
            f === 'each' && part === 'pad' ? text.padEach : LABELS[f],
            UNITS[f],
            `content.${part}.${f}`,
          ),
        )}
        {part === 'rule' && <Table v={v} change={change} />}
        <h2>{text.conditions}</h2>
        <div className={page.two}>
          {figure('min_c', text.min_c, '°C')}
          {figure('max_c', text.max_c, '°C')}
        </div>
        <h3>{text.supers}</h3>
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
          {card.method === 'pad' && tick('swap')}
        </div>
        <div className={page.two}>
          {figure('days_in_low', text.days_in_low)}
          {figure('days_in_high', text.days_in_high)}
          {figure('repeats', text.repeats)}
          {figure('days_apart', text.days_apart)}
          {figure('withdrawal_days', text.withdrawal_days)}
        </div>
        <Said message={saving.stale ? text.stale : saving.message} />
        <div className={page.bar}>
          <Button type="submit" variant="contained" disabled={saving.busy || Object.keys(faults).length > 0}>
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

/** The label's own table: so many mL up to so many bees. */
function Table({ v, change }: { v: Typed; change: (recipe: (t: Typed) => void) => void }) {
  return (
    <div>
      <p className="quiet">{text.table}</p>
      {v.rows.map((row, i) => (
        <div key={i} className={page.two}>
          <Field
            label={text.tableBees}
            path={`content.dribble.rows[${i}].up_to_bees`}
            value={row.bees}
            onChange={(x) => change((t) => void (t.rows[i]!.bees = x))}
          />
          <Field
            label=""
            unit="mL"
            path={`content.dribble.rows[${i}].dose_ml`}
            value={row.ml}
            onChange={(x) => change((t) => void (t.rows[i]!.ml = x))}
          />
        </div>
      ))}
      {v.rows.length > 0 && <p className="quiet">{text.tableHint}</p>}
      <Button size="small" onClick={() => change((t) => void t.rows.push({ bees: '', ml: '' }))}>
        {text.tableRow}
      </Button>
    </div>
  )
}
