import { useState } from 'react'
import { client, type Schemas } from '../api/client'
import { Mark } from '../drawing/Mark'
import { daysBetween, Faults, Field, may, onSent, Press, stale, useSaving, useStart } from '../kit'
import { open, placeOf } from './goTo'
import { Sky } from './Sky'
import styles from './Task.module.css'
import { text } from './text'

/** One thing to come back for: what, where, by when, and the button that begins it. */
export function Task({ of: f, today }: { of: Schemas['Followup']; today: string }) {
  const helper = may(useStart().me?.role, 'helper')
  const skipping = useSkip()
  const place = placeOf(f, today)
  const waiting = f.colonies.filter((c) => open(c.state))
  const late = daysBetween(f.by, today)
  const [asking, setSkipping] = useState(false)
  const [reason, setReason] = useState('')
  return (
    <li className={styles.task} data-followup={f.kind} data-state={f.state} data-yard={f.yard}>
      <span className={styles.mark}>{f.method && <Mark method={f.method} />}</span>
      <div>
        <b className={f.state === 'late' ? styles.late : undefined}>{f.title}</b>
        <p>
          {f.yard} · {names(waiting.map((c) => c.name))} ·{' '}
          {f.state === 'late' ? <strong>{text.daysLate(late)}</strong> : text.window(f.from, f.by)}
          {f.job && !f.job.includes(f.yard) && ` · ${f.job}`}
        </p>
        <p className="quiet">
          {f.why} <Sky days={f.weather} />
        </p>
      </div>
      {helper && (
        <div className={styles.acts}>
          {place && (
            <Press
              big
              main={f.state !== 'coming'}
              outlined={f.state === 'coming'}
              says={text.acts[f.kind]}
              to={place}
              data-do
            />
          )}
          <Press small says={text.skip} onPress={() => setSkipping(!asking)} data-skip />
        </div>
      )}
      {asking && (
        <form
          className={styles.skip}
          onSubmit={onSent(() =>
            skipping.save({ key: f.key, colonies: waiting.map((c) => c.id), reason: reason.trim() }),
          )}
        >
          <Faults value={skipping.message ? { reason: skipping.message } : {}}>
            <Field
              text
              label={text.skipWhy}
              path="reason"
              most={300}
              value={reason}
              onChange={setReason}
              focus
            />
          </Faults>
          <Press submit main says={text.skipYes} off={reason.trim() === ''} data-skip-yes />
          <p className="quiet">{text.skipHint}</p>
        </form>
      )}
    </li>
  )
}

/** Says why something is not done, or that it is after all. */
export const useSkip = () =>
  useSaving(
    async (body: Schemas['SkipFollowups']) => client.POST('/api/followups/skip', { body }),
    () => stale('check', 'jobs'),
  )

const SHOWN = 6

function names(all: string[]) {
  if (all.length <= SHOWN) return all.join(', ')
  return `${all.slice(0, SHOWN).join(', ')} + ${all.length - SHOWN}`
}
