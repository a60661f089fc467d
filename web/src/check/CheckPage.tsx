import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import { Mark } from '../drawing/Mark'
import { Task } from '../followup/Task'
import { useNewest } from '../followup/useNewest'
import { useTaskKeys } from '../followup/useTaskKeys'
import { ask, SoFar, useShownFirst, Waiting } from '../kit'
import page from '../kit/page.module.css'
import styles from './CheckPage.module.css'
import { Interval } from './Interval'
import { percent } from './share'
import { text } from './text'

const checkQuery = (first: boolean) => ask(['check', { first }], '/api/check', { query: { first } })

/** What to come back for, late ones first, and how each job stands. */
export default function CheckPage() {
  const check = useShownFirst(checkQuery)
  useTaskKeys()
  useNewest()
  if (!check.data) return <Waiting query={check.query} />
  const { followups, jobs, today, so_far } = check.data
  return (
    <main className={page.page}>
      <div className={page.head}>
        <h1>{text.title}</h1>
        <span className="quiet">{text.intro}</span>
        <SoFar of={so_far} />
      </div>
      <div className={styles.columns}>
        <div>
          {followups.length === 0 && !so_far && <p className="quiet">{text.nothing}</p>}
          {(['late', 'due', 'coming'] as const).map((state) => (
            <Tasks
              key={state}
              title={text.states[state] ?? ''}
              of={followups.filter((f) => f.state === state)}
              today={today}
            />
          ))}
        </div>
        <section className={styles.jobs}>
          <h2>
            {text.jobs} <Link to="/compare">{text.toCompare}</Link>
          </h2>
          {jobs.length === 0 && !so_far && (
            <p className="quiet">
              {text.noJobs} <Link to="/decide">{text.toDecide}</Link>
            </p>
          )}
          <ul>
            {jobs.map((j) => (
              <JobCard key={j.id} job={j} />
            ))}
          </ul>
        </section>
      </div>
    </main>
  )
}

function Tasks({ title, of, today }: { title: string; of: Schemas['Followup'][]; today: string }) {
  if (of.length === 0) return null
  return (
    <section className={styles.tasks}>
      <h2>{title}</h2>
      <ul>
        {of.map((f) => (
          <Task key={`${f.key} ${f.yard_id} ${f.from}`} of={f} today={today} />
        ))}
      </ul>
    </section>
  )
}

/** A job in a line: what it came to, and what waits. */
function JobCard({ job }: { job: Schemas['JobStands'] }) {
  const { result } = job
  const measured = result && result.measure !== 'after_alone'
  return (
    <li>
      <Link to={`/check/${job.id}`} className={styles.job} data-job={job.name} data-outcome={result?.outcome}>
        <span>
          <Mark method={job.method} />
          <b>{job.name}</b>
          {job.late ? <strong className={styles.late}>{text.late(job.late)}</strong> : null}
          {job.due ? <strong>{text.due(job.due)}</strong> : null}
        </span>
        <span className="quiet">
          {[
            job.yards,
            text.hives(job.colonies),
            job.given ? text.given(job.given) : text.notYet,
            job.in ? text.in(job.in) : '',
            job.gone ? text.gone(job.gone) : '',
          ]
            .filter(Boolean)
            .join(' · ')}
        </span>
        {measured && <Interval result={result} />}
        <span className={styles.outcome}>
          {measured && `${percent(result.share)} % · `}
          {job.given && (result?.words ?? text.uncounted)}
        </span>
      </Link>
    </li>
  )
}
