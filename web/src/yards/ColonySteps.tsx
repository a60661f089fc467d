import { useQuery } from '@tanstack/react-query'
import { useState, type ReactNode } from 'react'
import { useNavigate } from 'react-router'
import { client, type Schemas } from '../api/client'
import {
  Faults,
  Field,
  named,
  Pick,
  PickDay,
  Press,
  Said,
  useSaving,
  useStart,
  yardQuery,
  yardsQuery,
} from '../kit'
import { text } from './text'
import { changed } from './changed'
import page from '../kit/page.module.css'
import styles from './yards.module.css'

type Whole = Schemas['ColonyWhole']

/** What can become of a colony as a whole: moved, split, united, closed. */
export function ColonySteps({ colony }: { colony: Whole }) {
  const [step, setStep] = useState<'happen' | 'move' | 'split' | 'unite' | 'end'>()
  const { now } = useStart()
  const [day, setDay] = useState(now.slice(0, 10))
  const on = { day, set: setDay, today: now.slice(0, 10) }
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
      {step === 'happen' && <Happen colony={colony} on={on} />}
      {step === 'move' && <Move colony={colony} on={on} />}
      {step === 'split' && <Split colony={colony} on={on} />}
      {step === 'unite' && <Unite colony={colony} on={on} />}
      {step === 'end' && <End colony={colony} on={on} />}
    </>
  )
}

interface OfColony {
  colony: Whole
  on: OnProps
}

interface OnProps {
  day: string
  today: string
  set: (day: string) => void
}

/** The day on which it happened. */
const On = ({ day, today, set }: OnProps) => (
  <div className={styles.on}>
    <PickDay label={text.happenOn} path="on" value={day} max={today} onChange={set} />
  </div>
)

/** A swarm, or a part of a brood break by hand, with its day. */
function Happen({ colony, on }: OfColony) {
  const saving = useSaving(
    async (kind: keyof typeof text.happenings) =>
      client.POST('/api/colonies/{id}/happened', {
        params: { path: { id: colony.id } },
        body: { kind, on: on.day },
      }),
    changed,
  )
  return (
    <Faults value={saving.faults}>
      <p className="quiet">{text.happenHint}</p>
      <div className={page.bar}>
        <On {...on} />
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
  on: OnProps
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
function Step({ on, hint, saving, yes, at = '', unfinished, harm, children }: StepProps) {
  return (
    <Faults value={saving.faults}>
      {hint && <p className="quiet">{hint}</p>}
      <div className={page.bar}>
        {children}
        <On {...on} />
        <Press
          main
          harm={harm}
          says={yes}
          off={unfinished === true || saving.busy}
          onPress={() => saving.save()}
        />
      </div>
      <Said message={at in saving.faults || 'on' in saving.faults ? undefined : saving.message} />
    </Faults>
  )
}

function Move({ colony: { id, version, yard_id }, on }: OfColony) {
  const [to, setTo] = useState('')
  const yards = useQuery(yardsQuery)
  const moving = useSaving(
    async () =>
      client.POST('/api/colonies/{id}/move', {
        params: { path: { id } },
        body: { yard_id: to, version, on: on.day },
      }),
    changed,
  )
  return (
    <Step on={on} saving={moving} yes={text.moveIt} unfinished={to === ''}>
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

function Split({ colony, on }: OfColony) {
  const navigate = useNavigate()
  const [child] = useState(() => crypto.randomUUID() as string)
  const [name, setName] = useState('')
  const splitting = useSaving(
    async () =>
      client.POST('/api/colonies/{id}/split', {
        params: { path: { id: colony.id } },
        body: {
          child: { id: child, name, nuc: true, queen: 'young', boxes: colony.boxes.slice(0, 1) },
          on: on.day,
        },
      }),
    () => {
      changed()
      void navigate(`/colonies/${child}`)
    },
  )
  return (
    <Step on={on} hint={text.splitHint} saving={splitting} yes={text.splitIt} at="child.name">
      <Field text label={text.splitName} path="child.name" value={name} onChange={setName} />
    </Step>
  )
}

/** It is asked once more, for it cannot be undone; then the hive that took the bees in says what came of it. */
function Unite({ colony, on }: OfColony) {
  const navigate = useNavigate()
  const [into, setInto] = useState('')
  const [sure, setSure] = useState(false)
  const yard = useQuery(yardQuery(colony.yard_id))
  const other = yard.data?.stands.find((s) => s.id === into)?.name ?? ''
  const uniting = useEnding(colony, { reason: '', into, on: on.day }, () => {
    void navigate(`/colonies/${into}`, { state: { said: text.united(colony.name, other) } })
  })
  return (
    <Step
      on={on}
      hint={sure ? text.uniteAsk(colony.name, other) : text.uniteHint}
      saving={{ ...uniting, save: () => (sure ? uniting.save() : setSure(true)) }}
      yes={sure ? text.uniteYes : text.uniteIt}
      unfinished={into === ''}
    >
      <Pick
        label={text.uniteInto}
        none={text.uniteInto}
        value={into}
        options={named(yard.data?.stands.filter((s) => s.id !== colony.id))}
        onChange={(id) => {
          setSure(false)
          setInto(id)
        }}
      />
    </Step>
  )
}

function End({ colony, on }: OfColony) {
  const [reason, setReason] = useState('')
  const ending = useEnding(colony, { reason, on: on.day })
  return (
    <Step
      on={on}
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

function useEnding(
  { id, version }: Whole,
  how: { reason: string; into?: string; on: string },
  then?: () => void,
) {
  return useSaving(
    async () =>
      client.POST('/api/colonies/{id}/end', { params: { path: { id } }, body: { ...how, version } }),
    () => {
      changed()
      then?.()
    },
  )
}
