import type { Schemas } from '../api/client'
import { date, dayMonth, may, Press, told, useStart } from '../kit'
import { Docket } from '../docket/Docket'
import { placeOf } from '../followup/goTo'
import { Sky } from '../followup/Sky'
import { text as doing } from '../followup/text'
import { useSkip } from '../followup/useSkip'
import names from '../../../words/names/decide.json'
import styles from './ComeBack.module.css'
import { SpentAccount } from './SpentAccount'
import { text } from './text'

type Followup = Schemas['Followup']

interface Props {
  check: Schemas['JobCheck']
  helper: boolean
}

/** The paper that says when to go back, and for what. */
export function ComeBack({ check, helper }: Props) {
  const today = useStart().now.slice(0, 10)
  const next = check.followups.find((f) => f.state === 'late' || f.state === 'due')
  const place = next && placeOf(next, today)
  const under = check.card ?? (names.protocols as Record<string, string>)[check.job.under]
  return (
    <Docket
      title={text.comeBack}
      sub={under ? text.under(under) : ''}
      origin={`${check.job.name} · ${date(today)}`}
    >
      <ol className={styles.lines}>
        {check.followups.map((f) => (
          <Line key={`${f.key} ${f.yard_id}`} of={f} />
        ))}
      </ol>
      {place && helper && (
        <Press big main says={doing.acts[next.kind]} to={place} className="no-print" data-next-step />
      )}
      {check.spent && <SpentAccount key={check.spent.disposed} of={check.spent} />}
    </Docket>
  )
}

function Line({ of: f }: { of: Followup }) {
  const helper = may(useStart().me?.role, 'helper')
  const skipping = useSkip()
  const done = f.colonies.filter((c) => c.state === 'done')
  const skipped = f.colonies.filter((c) => c.state === 'skipped')
  const day = f.state === 'done' ? (done[0]?.on ?? f.from) : f.from
  return (
    <li className={styles[f.state]} data-line={f.kind} data-n={f.n} data-state={f.state}>
      <span>{dayMonth(day)}</span>
      <div>
        <b>{f.title}</b>
        <small>
          {[
            f.colonies.length > 1 || done.length === 0 ? text.doneOf(done.length, f.colonies.length) : '',
            f.state === 'missed' ? text.missed : f.state === 'done' ? '' : told(f.why),
          ]
            .filter(Boolean)
            .join(' · ')}{' '}
          <Sky days={f.weather} />
        </small>
        {skipped.length > 0 && (
          <small>
            {text.skipped}: {skipped[0]?.reason}{' '}
            {helper && (
              <Press
                small
                says={text.undo}
                className="no-print"
                onPress={() => skipping.save({ key: f.key, colonies: skipped.map((c) => c.id), undo: true })}
                data-unskip
              />
            )}
          </small>
        )}
      </div>
      <span>{done.length === f.colonies.length ? '✓' : f.state === 'skipped' ? '–' : ''}</span>
    </li>
  )
}
