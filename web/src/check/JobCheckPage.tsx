import { useQuery } from '@tanstack/react-query'
import { Link, useParams } from 'react-router'
import type { Schemas } from '../api/client'
import { ask, may, Press, three, useStart, Waiting } from '../kit'
import page from '../kit/page.module.css'
import { ColonyCard } from './ColonyCard'
import { ComeBack } from './ComeBack'
import { Falls } from './Falls'
import styles from './JobCheckPage.module.css'
import { Outcome } from './Outcome'
import { Reached } from './Reached'
import { text } from './text'

const COLOURS = { dribble: 'drop', strip: 'strip', pad: 'pad' } as const

/** A job when it is done: what it killed, hive by hive, which mites it could meet, and when to come back. */
export default function JobCheckPage() {
  const { id = '' } = useParams()
  const check = useQuery(ask(['jobs', id, 'check'], '/api/jobs/{id}/check', { path: { id } }))
  return check.data ? <Whole check={check.data} /> : <Waiting query={check} />
}

function Whole({ check }: { check: Schemas['JobCheck'] }) {
  const { job, result, given, falls, reach, colonies, controls } = check
  const helper = may(useStart().me?.role, 'helper')
  return (
    <main className={styles.job} data-job-check={job.name}>
      <div>
        <div className={page.head}>
          <Link to="/check" className="no-print">
            ‹ {text.toCheck}
          </Link>
          <h1>{job.name}</h1>
          <span className="quiet">
            {[
              given[0] ? text.given(given[0]) : text.notYet,
              text.hives(check.treated || job.colonies.length),
              controls?.length ? text.controls(controls.join(', ')) : '',
            ]
              .filter(Boolean)
              .join(' · ')}
          </span>
          <span className={page.actions}>
            <Press says={text.compareYards} to={`/compare?by=yard&job=${job.id}`} />
            <Press says={text.toJob} to={`/jobs/${job.id}`} />
            <Press says={text.print} onPress={() => print()} />
          </span>
        </div>
        {given.length > 0 && (
          <section className={`${page.panel} ${styles.lead}`}>
            <div>{result ? <Outcome result={result} hives={check.treated} /> : <p>{text.uncounted}</p>}</div>
            {falls.length > 0 ? (
              <Falls falls={falls} given={given} colour={COLOURS[job.method]} />
            ) : (
              <p className="quiet">{text.noFalls}</p>
            )}
          </section>
        )}
        {check.device && (
          <p data-device>
            {text.device(
              three(check.device.factor),
              three(check.device.factor_off ?? 0),
              check.device.weighings,
            )}
          </p>
        )}
        <div className={styles.colonies}>
          {colonies.map((c) => (
            <ColonyCard key={c.id} colony={c} />
          ))}
        </div>
        {reach.length > 0 && (
          <section className={page.panel}>
            <h2>{text.reach}</h2>
            <p className="quiet">
              {text.reachSub} ·{' '}
              <Link to="/reach" className="no-print">
                {text.toReach}
              </Link>
            </p>
            {reach.map((r, i) => (
              <Reached
                key={i}
                reach={r}
                visits={r.visits}
                of={`${r.colonies.join(', ')}: ${text.broods[r.brood] ?? ''}${r.unseen ? ` (${text.unseen})` : ''}`}
              />
            ))}
          </section>
        )}
      </div>
      <ComeBack check={check} helper={helper} />
    </main>
  )
}
