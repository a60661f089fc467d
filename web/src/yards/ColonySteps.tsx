import Button from '@mui/material/Button'
import NativeSelect from '@mui/material/NativeSelect'
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { client, type Schemas } from '../api/client'
import { Said } from '../kit/Said'
import { useSaving } from '../kit/useSaving'
import { useStart } from '../kit/useStart'
import { text } from './text'
import { useChanged } from './useChanged'
import { yardQuery, yardsQuery } from '../kit/queries'
import page from '../kit/page.module.css'

type Whole = Schemas['ColonyWhole']

/** What can become of a colony as a whole: moved, split, united, closed. */
export function ColonySteps({ colony }: { colony: Whole }) {
  const [step, setStep] = useState<'happen' | 'move' | 'split' | 'unite' | 'end'>()
  return (
    <>
      <div className={page.bar}>
        {(['happen', 'split', 'unite', 'move', 'end'] as const).map((s) => (
          <Button
            key={s}
            size="small"
            color={s === 'end' ? 'error' : 'primary'}
            variant={s === step ? 'outlined' : 'text'}
            onClick={() => setStep(s === step ? undefined : s)}
            data-step-of={s}
          >
            {text[s]}
          </Button>
        ))}
      </div>
      {step === 'happen' && <Happen colony={colony} />}
      {step === 'move' && <Move colony={colony} />}
      {step === 'split' && <Split colony={colony} />}
      {step === 'unite' && <Unite colony={colony} />}
      {step === 'end' && <End colony={colony} />}
    </>
  )
}

/** A swarm, or a part of a brood break by hand, with its day. */
function Happen({ colony }: { colony: Whole }) {
  const changed = useChanged()
  const { now } = useStart()
  const [on, setOn] = useState(now.slice(0, 10))
  const saving = useSaving(
    async (kind: (typeof text.happenings)[number][0]) =>
      client.POST('/api/colonies/{id}/happened', {
        params: { path: { id: colony.id } },
        body: { kind, on },
      }),
    changed,
  )
  return (
    <>
      <p className="quiet">{text.happenHint}</p>
      <div className={page.bar}>
        <TextField
          size="small"
          label={text.happenOn}
          value={on}
          error={'on' in saving.faults}
          helperText={saving.faults['on']}
          onChange={(e) => setOn(e.target.value)}
        />
        {text.happenings.map(([kind, words]) => (
          <Button
            key={kind}
            variant="outlined"
            disabled={saving.busy}
            onClick={() => saving.save(kind)}
            data-happened={kind}
          >
            {words}
          </Button>
        ))}
      </div>
      <Said message={'on' in saving.faults ? undefined : saving.message} />
    </>
  )
}

function Move({ colony }: { colony: Whole }) {
  const changed = useChanged()
  const [to, setTo] = useState('')
  const yards = useQuery(yardsQuery)
  const moving = useSaving(
    async () =>
      client.POST('/api/colonies/{id}/move', {
        params: { path: { id: colony.id } },
        body: { yard_id: to, version: colony.version },
      }),
    changed,
  )
  return (
    <div className={page.bar}>
      <NativeSelect
        value={to}
        inputProps={{ 'aria-label': text.moveTo }}
        onChange={(e) => setTo(e.target.value)}
      >
        <option value="">{text.moveTo}</option>
        {yards.data
          ?.filter((y) => y.id !== colony.yard_id)
          .map((y) => (
            <option key={y.id} value={y.id}>
              {y.name}
            </option>
          ))}
      </NativeSelect>
      <Button variant="contained" disabled={to === '' || moving.busy} onClick={() => moving.save()}>
        {text.moveIt}
      </Button>
      <Said message={moving.message} />
    </div>
  )
}

function Split({ colony }: { colony: Whole }) {
  const changed = useChanged()
  const navigate = useNavigate()
  const [child] = useState(() => crypto.randomUUID() as string)
  const [name, setName] = useState('')
  const splitting = useSaving(
    async () =>
      client.POST('/api/colonies/{id}/split', {
        params: { path: { id: colony.id } },
        body: { child: { id: child, name, nuc: true, queen: 'young', boxes: colony.boxes.slice(0, 1) } },
      }),
    () => {
      changed()
      void navigate(`/colonies/${child}`)
    },
  )
  return (
    <>
      <p className="quiet">{text.splitHint}</p>
      <div className={page.bar}>
        <TextField
          size="small"
          label={text.splitName}
          value={name}
          error={'child.name' in splitting.faults}
          helperText={splitting.faults['child.name']}
          onChange={(e) => setName(e.target.value)}
        />
        <Button variant="contained" disabled={splitting.busy} onClick={() => splitting.save()}>
          {text.splitIt}
        </Button>
      </div>
      <Said message={'child.name' in splitting.faults ? undefined : splitting.message} />
    </>
  )
}

function Unite({ colony }: { colony: Whole }) {
  const changed = useChanged()
  const [into, setInto] = useState('')
  const yard = useQuery(yardQuery(colony.yard_id))
  const uniting = useSaving(
    async () =>
      client.POST('/api/colonies/{id}/end', {
        params: { path: { id: colony.id } },
        body: { reason: '', into, version: colony.version },
      }),
    changed,
  )
  return (
    <>
      <p className="quiet">{text.uniteHint}</p>
      <div className={page.bar}>
        <NativeSelect
          value={into}
          inputProps={{ 'aria-label': text.uniteInto }}
          onChange={(e) => setInto(e.target.value)}
        >
          <option value="">{text.uniteInto}</option>
          {yard.data?.stands
            .filter((s) => s.id !== colony.id)
            .map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
        </NativeSelect>
        <Button variant="contained" disabled={into === '' || uniting.busy} onClick={() => uniting.save()}>
          {text.uniteIt}
        </Button>
      </div>
      <Said message={uniting.message} />
    </>
  )
}

function End({ colony }: { colony: Whole }) {
  const changed = useChanged()
  const [reason, setReason] = useState('')
  const ending = useSaving(
    async () =>
      client.POST('/api/colonies/{id}/end', {
        params: { path: { id: colony.id } },
        body: { reason, version: colony.version },
      }),
    changed,
  )
  return (
    <>
      <p className="quiet">{text.endHint}</p>
      <div className={page.bar}>
        <TextField
          size="small"
          label={text.endWhy}
          value={reason}
          onChange={(e) => setReason(e.target.value)}
        />
        <Button
          variant="contained"
          color="error"
          disabled={reason.trim() === '' || ending.busy}
          onClick={() => ending.save()}
        >
          {text.endIt}
        </Button>
      </div>
      <Said message={ending.message} />
    </>
  )
}
