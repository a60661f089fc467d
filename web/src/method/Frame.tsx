import Alert from '@mui/material/Alert'
import { useState, type ComponentProps, type ReactNode } from 'react'
import type { Schemas } from '../api/client'
import {
  date,
  day,
  Entries,
  type EntriesProps,
  FaultCodes,
  Faults,
  Field,
  type Panel,
  Panels,
  Press,
  Section,
  usePublishedVolume,
  volume,
} from '../kit'
import type { Slip } from '../docket/PlanDocket'
import { BALANCE } from './balance'
import { emptyDraft, inUnits } from './begin'
import { CardChoice } from './CardChoice'
import { MethodPicker } from './MethodPicker'
import styles from './Frame.module.css'
import { SaveBatch, type ToSave } from './SaveBatch'
import type { Workplace } from './workplace'
import { text } from './text'
import { CountedHives } from '../hive/CountedHives'
import { Hives } from '../hive/Hives'
import { Heed, HeedLine, heedOf } from './Heed'
import type { Asked } from './useAnswer'

interface Props<Key extends string> extends Workplace, EntriesProps<Key> {
  asked: Asked<{ notes: readonly Schemas['Note'][] }>
  toSave: ToSave
  /** What it comes to: mL of it, and the acid to weigh in words. */
  made: { ml?: number; figure?: string; acid?: string | undefined }
  /** The method's form: its panels, and what stands under the balance. */
  panels: readonly Panel<Key>[]
  keeping: Panel<Key>
  band: ReactNode
  /** The hives, drawn one by one, or only counted. */
  hives:
    | Pick<ComponentProps<typeof Hives>, 'rule' | 'hint' | 'card'>
    | { counted: ComponentProps<typeof CountedHives> }
  /** Undefined while there is nothing to weigh. */
  docket: ((slip: Slip) => ReactNode) | undefined
}

/** The Mix screen that all methods share: what is asked at the left, drawn in the middle, weighed at the right. */
export function Frame<Key extends string>(props: Props<Key>) {
  const { start, draft, changeDraft, replace, asked, toSave, made, panels, keeping, band, hives, docket } =
    props
  const notes = asked.answer?.notes
  usePublishedVolume(made.ml)
  return (
    <Faults value={asked.faults}>
      <FaultCodes value={asked.codes}>
        <main className={styles.mix} data-method={draft.method}>
          <div className={`${styles.picker} no-print`}>
            <MethodPicker method={draft.method} onChoose={(m) => changeDraft((d) => void (d.method = m))} />
          </div>
          <form className={`${styles.left} no-print`} onSubmit={(e) => e.preventDefault()}>
            <Field
              text
              label={text.placeName}
              value={draft.place}
              onChange={(v) => changeDraft((d) => void (d.place = v))}
            />
            <Field
              text
              label={text.ruleField}
              placeholder={text.ruleEmpty}
              value={draft.rule}
              onChange={(v) => changeDraft((d) => void (d.rule = v))}
            />
            <CardChoice {...props} />
            <Panels of={panels} {...props} />
            <Section title={text.bench} folded>
              <Entries
                of={BALANCE}
                typed={draft.balance}
                change={(recipe) => changeDraft((d) => recipe(d.balance))}
              />
              <Entries of={keeping} {...props} />
            </Section>
            <StartOver
              onYes={() =>
                replace(inUnits({ ...emptyDraft(start.usual), method: draft.method }, draft.units))
              }
            />
          </form>
          <div className={`${styles.middle} no-print`}>
            {band}
            <Heed notes={notes} />
            {'counted' in hives ? (
              <CountedHives {...hives.counted} />
            ) : (
              <Hives draft={draft} change={changeDraft} heed={(name) => heedOf(notes, name)} {...hives} />
            )}
          </div>
          <aside id="docket" className={styles.right} aria-label={text.docket}>
            {docket ? (
              <>
                {docket({ place: draft.place, rule: draft.rule, when: day(start.now), busy: asked.busy })}
                <div className={`${styles.after} no-print`}>
                  <SaveBatch
                    toSave={toSave}
                    rule={draft.rule}
                    name={draft.batchName}
                    busy={asked.busy}
                    onName={(name) => changeDraft((d) => void (d.batchName = name))}
                    suggestion={[draft.place, date(start.now)].filter(Boolean).join(', ')}
                  />
                </div>
              </>
            ) : (
              <Unfilled asked={asked} />
            )}
          </aside>
          {docket && <Glance made={made} notes={notes} />}
        </main>
      </FaultCodes>
    </Faults>
  )
}

/** On a phone, what it comes to, always in sight, and the way to the docket. */
function Glance({
  made,
  notes,
}: Pick<Props<string>, 'made'> & { notes: readonly Schemas['Note'][] | undefined }) {
  const poured = made.ml === undefined ? undefined : volume(made.ml)
  const figure = made.figure ?? (poured ? `${poured.value} ${poured.unit}` : '')
  return (
    <a href="#docket" className={`${styles.glance} no-print`}>
      <HeedLine notes={notes} />
      <span>{[figure, made.acid].filter(Boolean).join(' · ')}</span>
      <span>{text.seeDocket}</span>
    </a>
  )
}

/** The docket while there is nothing to weigh: why, and how to go on. */
function Unfilled({ asked: { faults, codes, lost } }: { asked: Asked<unknown> }) {
  const texts = [...new Set(Object.values(faults))]
  // What is only not there yet is asked for, and not told as wrong.
  const wrong = lost || Object.keys(faults).some((path) => codes[path] !== 'missing')
  const line = lost ? text.lost : wrong ? text.mend : texts.length > 0 ? text.toBegin : text.waiting
  return (
    <Alert
      severity={wrong ? 'error' : 'info'}
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
  if (!asked) return <Press says={text.startOver} onPress={() => setAsked(true)} />
  return (
    <div>
      <p className="quiet">{text.startOverAsk}</p>
      <Press
        harm
        says={text.startOverYes}
        onPress={() => {
          onYes()
          setAsked(false)
        }}
      />
      <Press says={text.keepIt} onPress={() => setAsked(false)} />
    </div>
  )
}
