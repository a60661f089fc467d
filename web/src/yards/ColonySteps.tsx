import { useQuery } from '@tanstack/react-query'
import { useState, type ReactNode } from 'react'
import { useNavigate } from 'react-router'
import { client, type Schemas } from '../api/client'
import { Faults, Field, named, Pick, Press, Said, useSaving, useStart, yardQuery, yardsQuery } from '../kit'
import { text } from './text'
import { changed } from './changed'
import page from '../kit/page.module.css'

type Whole = Schemas['ColonyWhole']

/** What can become of a colony as a whole: moved, split, united, closed. */
export function ColonySteps({ colony }: { colony: Whole }) {
  const [step, setStep] = useState<'happen' | 'move' | 'split' | 'unite' | 'end'>()
  return (
    <>
      <div className={page.bar}>
        {(['happen', 'split', 'unite', 'move', 'end'] as const).map((s) => (
          <Press
            key={s}
            small
            harm={s === 'end'}
            outlined={s === step}
            says={text[s]}
            onPress={() => setStep(s === step ? undefined : s)}
            data-step-of={s}
          />
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
  const { now } = useStart()
  const [on, setOn] = useState(now.slice(0, 10))
  const saving = useSaving(
    async (kind: keyof typeof text.happenings) =>
      client.POST('/api/colonies/{id}/happened', {
        params: { path: { id: colony.id } },
        body: { kind, on },
      }),
    changed,
  )
  return (
    <Faults value={saving.faults}>
      <p className="quiet">{text.happenHint}</p>
      <div className={page.bar}>
        <Field text label={text.happenOn} path="on" value={on} onChange={setOn} />
        {(Object.keys(text.happenings) as (keyof typeof text.happenings)[]).map((kind) => (
          <Press
            key={kind}
            outlined
            says={text.happenings[kind]}
            off={saving.busy}
            onPress={() => saving.save(kind)}
            data-happened={kind}
          />
        ))}
      </div>
      <Said message={'on' in saving.faults ? undefined : saving.message} />
    </Faults>
  )
}

interface StepProps {
  hint?: string
  saving: { save: () => void; busy: boolean; message: string | undefined; faults: Record<string, string> }
  /** What the button says that does it. */
  yes: string
  /** The path of its field. */
  at?: string
  unfinished?: boolean
  harm?: boolean
  children: ReactNode
}

/** One step: what it is, what it needs, and the button that does it. */
function Step({ hint, saving, yes, at = '', unfinished, harm, children }: StepProps) {
  return (
    <Faults value={saving.faults}>
      {hint && <p className="quiet">{hint}</p>}
      <div className={page.bar}>
        {children}
        <Press
          main
          harm={harm}
          says={yes}
          off={unfinished === true || saving.busy}
          onPress={() => saving.save()}
        />
      </div>
      <Said message={at in saving.faults ? undefined : saving.message} />
    </Faults>
  )
}

function Move({ colony: { id, version, yard_id } }: { colony: Whole }) {
  const [to, setTo] = useState('')
  const yards = useQuery(yardsQuery)
  const moving = useSaving(
    async () =>
      client.POST('/api/colonies/{id}/move', { params: { path: { id } }, body: { yard_id: to, version } }),
    changed,
  )
  return (
    <Step saving={moving} yes={text.moveIt} unfinished={to === ''}>
      <Pick
        label={text.moveTo}
        none={text.moveTo}
        value={to}
        options={named(yards.data?.filter((y) => y.id !== yard_id))}
        onChange={setTo}
      />
    </Step>
  )
}

function Split({ colony }: { colony: Whole }) {
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
    <Step hint={text.splitHint} saving={splitting} yes={text.splitIt} at="child.name">
      <Field text label={text.splitName} path="child.name" value={name} onChange={setName} />
    </Step>
  )
}

function Unite({ colony }: { colony: Whole }) {
  const [into, setInto] = useState('')
  const yard = useQuery(yardQuery(colony.yard_id))
  const uniting = useEnding(colony, { reason: '', into })
  return (
    <Step hint={text.uniteHint} saving={uniting} yes={text.uniteIt} unfinished={into === ''}>
      <Pick
        label={text.uniteInto}
        none={text.uniteInto}
        value={into}
        options={named(yard.data?.stands.filter((s) => s.id !== colony.id))}
        onChange={setInto}
      />
    </Step>
  )
}

function End({ colony }: { colony: Whole }) {
  const [reason, setReason] = useState('')
  const ending = useEnding(colony, { reason })
  return (
    <Step
      hint={text.endHint}
      saving={ending}
      yes={text.endIt}
      unfinished={reason.trim() === ''}
      at="reason"
      harm
    >
      <Field text label={text.endWhy} path="reason" value={reason} onChange={setReason} />
    </Step>
  )
}

function useEnding({ id, version }: Whole, how: { reason: string; into?: string }) {
  return useSaving(
    async () =>
      client.POST('/api/colonies/{id}/end', { params: { path: { id } }, body: { ...how, version } }),
    changed,
  )
}
