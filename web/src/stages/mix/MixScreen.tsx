import Alert from '@mui/material/Alert'
import Button from '@mui/material/Button'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { Faults } from '../../parts/faults'
import { Field } from '../../parts/Field'
import { date, day } from '../../shell/day'
import { usePublishedVolume } from '../../shell/volume'
import { mass, volume } from '../../units/format'
import { useUnits } from '../../units/units'
import { adopt } from './adopt'
import { ApplicatorPanel } from './ApplicatorPanel'
import { Colonies } from './Colonies'
import { text as docket } from './docketText'
import { emptyDraft } from './draft'
import { HoldPanel } from './HoldPanel'
import { JarBand } from './JarBand'
import styles from './mix.module.css'
import { MixDocket } from './MixDocket'
import { MorePanels } from './MorePanels'
import { read } from './request'
import { SaveBatch } from './SaveBatch'
import { SizePanel } from './SizePanel'
import { StrengthPanel } from './StrengthPanel'
import { text } from './text'
import { useDraft } from './useDraft'
import { usePlan, type Plan } from './usePlan'

/** Mix: what to weigh for these hives, and what each gap gets. */
export function MixScreen({ start }: { start: Schemas['Start'] }) {
  const { draft, change, replace } = useDraft(start.draft && adopt(start.draft, start.place ?? ''))
  const reading = read(draft)
  const { plan, busy, faults, lost } = usePlan(reading)
  usePublishedVolume(plan?.volume_ml)

  return (
    <Faults value={faults}>
      <main className={styles.mix}>
        <form className={`${styles.left} no-print`} onSubmit={(e) => e.preventDefault()}>
          <Field
            text
            label={text.placeName}
            value={draft.place}
            onChange={(v) => change((d) => void (d.place = v))}
          />
          <Field
            text
            label={text.ruleField}
            placeholder={text.ruleEmpty}
            value={draft.rule}
            onChange={(v) => change((d) => void (d.rule = v))}
          />
          <HoldPanel draft={draft} change={change} />
          {draft.hold.kind !== 'ready_to_use' && <StrengthPanel draft={draft} change={change} />}
          <SizePanel draft={draft} change={change} />
          <ApplicatorPanel draft={draft} change={change} />
          <MorePanels draft={draft} change={change} />
          <StartOver onYes={() => replace(emptyDraft())} />
        </form>
        <div className={`${styles.middle} no-print`}>
          <JarBand draft={draft} plan={plan} change={change} />
          <Colonies draft={draft} plan={plan} change={change} />
        </div>
        <aside id="docket" className={styles.right} aria-label={text.docket}>
          {plan ? (
            <>
              <MixDocket
                plan={plan}
                request={reading.request}
                place={draft.place}
                rule={draft.rule}
                when={day(start.now)}
                busy={busy}
              />
              <div className={`${styles.after} no-print`}>
                <SaveBatch
                  request={reading.request}
                  rule={draft.rule}
                  name={draft.batchName}
                  busy={busy}
                  onName={(name) => change((d) => void (d.batchName = name))}
                  suggestion={[draft.place, date(start.now)].filter(Boolean).join(', ')}
                />
              </div>
            </>
          ) : (
            <Unfilled faults={faults} lost={lost} />
          )}
        </aside>
        {plan && <Glance plan={plan} />}
      </main>
    </Faults>
  )
}

/** On a phone, what it comes to, always in sight, and the way to the docket. */
function Glance({ plan }: { plan: Plan }) {
  const made = volume(plan.volume_ml, useUnits().system)
  const acid = plan.lines.find((l) => l.step === 'acid')
  const weigh = acid?.show_g === undefined ? '' : mass(acid.show_g, acid.band_g ?? 1)
  return (
    <a href="#docket" className={`${styles.glance} no-print`}>
      <span>{text.toDocket(`${made.value} ${made.unit}`, weigh && `${weigh.value} g`)}</span>
      <span>{text.seeDocket}</span>
    </a>
  )
}

/** The docket while there is nothing to weigh: why, and how to go on. */
function Unfilled({ faults, lost }: { faults: Record<string, string>; lost: boolean }) {
  const texts = [...new Set(Object.values(faults))]
  const line = lost ? docket.lost : texts.length > 0 ? docket.mend : docket.waiting
  return (
    <Alert
      severity={lost || texts.length > 0 ? 'error' : 'info'}
      variant="outlined"
      sx={{ m: 2, background: 'var(--slip)' }}
      data-unfilled
    >
      <p>{line}</p>
      {texts.map((t) => (
        <p key={t}>{t}</p>
      ))}
    </Alert>
  )
}

function StartOver({ onYes }: { onYes: () => void }) {
  const [asked, setAsked] = useState(false)
  if (!asked) return <Button onClick={() => setAsked(true)}>{text.startOver}</Button>
  return (
    <div>
      <p className="quiet">{text.startOverAsk}</p>
      <Button
        color="error"
        onClick={() => {
          onYes()
          setAsked(false)
        }}
      >
        {text.startOverYes}
      </Button>
      <Button onClick={() => setAsked(false)}>{text.keepIt}</Button>
    </div>
  )
}
