import Button from '@mui/material/Button'
import NativeSelect from '@mui/material/NativeSelect'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { client, type Schemas } from '../api/client'
import { Mark } from '../drawing/Mark'
import { Said } from '../kit/Said'
import { useSaving } from '../kit/useSaving'
import { date } from '../kit/day'
import { useStart } from '../kit/useStart'
import { text } from './text'
import { useChanged } from './useChanged'
import page from '../kit/page.module.css'
import styles from './yards.module.css'

type Method = Schemas['Treatment']['method']
const METHODS: Method[] = ['dribble', 'strip', 'pad', 'vapour', 'other']

/** What was given to these bees, whatever hive they were in then. */
export function Treatments({ colony, helper }: { colony: Schemas['ColonyWhole']; helper: boolean }) {
  const changed = useChanged()
  const out = useSaving(
    async ({ treatment, sure }: { treatment: string; sure: boolean }) =>
      client.POST('/api/colonies/{id}/treatments/{treatment}/out', {
        params: { path: { id: colony.id, treatment } },
        body: { sure },
      }),
    changed,
  )
  return (
    <>
      {colony.treatments.length === 0 && <p className="quiet">{text.noTreatments}</p>}
      <Said message={out.message} />
      {out.codes['on'] === 'early' && out.tried && (
        <Button
          color="error"
          variant="outlined"
          onClick={() => out.tried && out.save({ ...out.tried, sure: true })}
          data-early
        >
          {text.earlyYes}
        </Button>
      )}
      <ul className={styles.entries}>
        {colony.treatments.map((t) => (
          <li key={t.id}>
            <span>{date(t.given_on)}</span>
            {t.method !== 'other' && t.method !== 'vapour' && <Mark method={t.method} />}
            <b>{text.methods[t.method]}</b>
            {t.what}
            {t.out_on === undefined && (
              <>
                <i>{text.stillIn}</i>
                {t.overdue_days ? (
                  <b className={page.harm}>{text.overdue(t.overdue_days)}</b>
                ) : (
                  t.due_from && (
                    <small className="quiet">{text.dueOut(date(t.due_from), date(t.due_by ?? ''))}</small>
                  )
                )}
                {helper && (
                  <Button
                    size="small"
                    onClick={() => out.save({ treatment: t.id, sure: false })}
                    data-take-out
                  >
                    {text.takeOut}
                  </Button>
                )}
              </>
            )}
            {t.carried && <small className="quiet">{text.carried}</small>}
          </li>
        ))}
      </ul>
      {helper && <Record colony={colony.id} done={changed} />}
    </>
  )
}

function Record({ colony, done }: { colony: string; done: () => void }) {
  const { now } = useStart()
  const fresh = () => ({
    id: crypto.randomUUID() as string,
    method: 'dribble' as Method,
    what: '',
    given_on: now.slice(0, 10),
  })
  const [form, setForm] = useState(fresh)
  const saving = useSaving(
    async () =>
      client.POST('/api/colonies/{id}/treatments', { params: { path: { id: colony } }, body: form }),
    () => {
      setForm(fresh())
      done()
    },
  )
  return (
    <details>
      <summary>{text.record}</summary>
      <form
        className={page.bar}
        style={{ marginTop: 8 }}
        onSubmit={(e) => {
          e.preventDefault()
          saving.save()
        }}
      >
        <NativeSelect
          value={form.method}
          inputProps={{ 'aria-label': text.treatments }}
          onChange={(e) => setForm({ ...form, method: e.target.value as Method })}
        >
          {METHODS.map((m) => (
            <option key={m} value={m}>
              {text.methods[m]}
            </option>
          ))}
        </NativeSelect>
        <TextField
          size="small"
          label={text.recordWhat}
          value={form.what}
          error={'what' in saving.faults}
          helperText={saving.faults['what']}
          onChange={(e) => setForm({ ...form, what: e.target.value })}
        />
        <TextField
          size="small"
          label={text.recordOn}
          value={form.given_on}
          error={'given_on' in saving.faults}
          helperText={saving.faults['given_on']}
          onChange={(e) => setForm({ ...form, given_on: e.target.value })}
        />
        <Button type="submit" variant="outlined" disabled={saving.busy}>
          {text.recordIt}
        </Button>
      </form>
      <Said message={Object.keys(saving.faults).length > 0 ? undefined : saving.message} />
    </details>
  )
}
