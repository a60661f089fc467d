import type { Schemas } from '../api/client'
import { Mark } from '../drawing/Mark'
import { daysBetween } from '../kit'
import { open, placeOf } from './goTo'
import { Row } from './Row'
import { Sky } from './Sky'
import { text } from './text'
import { useSkip } from './useSkip'

/** One thing to come back for. */
export function Task({ of: f, today }: { of: Schemas['Followup']; today: string }) {
  const skipping = useSkip()
  const place = placeOf(f, today)
  const waiting = f.colonies.filter((c) => open(c.state))
  return (
    <Row
      is={{ kind: f.kind, state: f.state, yard: f.yard }}
      mark={f.method && <Mark method={f.method} />}
      title={f.title}
      late={f.state === 'late'}
      where={
        <>
          {f.yard} · {text.names(waiting)} ·{' '}
          {f.state === 'late' ? (
            <strong>{text.daysLate(daysBetween(f.by, today))}</strong>
          ) : (
            text.window(f.from, f.by)
          )}
          {f.job && !f.job.includes(f.yard) && ` · ${f.job}`}
        </>
      }
      why={
        <>
          {f.why} <Sky days={f.weather} />
        </>
      }
      act={{ says: text.acts[f.kind], to: place, main: f.state !== 'coming' }}
      skip={{
        save: (reason) => skipping.save({ key: f.key, colonies: waiting.map((c) => c.id), reason }),
        message: skipping.message,
      }}
    />
  )
}
