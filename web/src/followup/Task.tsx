import type { ReactNode } from 'react'
import type { Schemas } from '../api/client'
import { Mark } from '../drawing/Mark'
import { daysBetween, told } from '../kit'
import { open, placeOf } from './goTo'
import { Row } from './Row'
import { Sky } from './Sky'
import { text } from './text'
import { useSkip } from './useSkip'

interface Props {
  of: Schemas['Followup']
  today: string
  /** What else is to be said of it. */
  children?: ReactNode
}

/** One thing to come back for. */
export function Task({ of: f, today, children }: Props) {
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
          {told(f.why)} <Sky days={f.weather} /> {children}
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
