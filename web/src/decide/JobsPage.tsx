import { Link } from 'react-router'
import { client, data, type Schemas } from '../api/client'
import { Mark } from '../drawing/Mark'
import {
  ask,
  date,
  may,
  Press,
  Said,
  SoFar,
  stale,
  useSaving,
  useShownFirst,
  useSift,
  useStart,
  Waiting,
} from '../kit'
import page from '../kit/page.module.css'
import { stateOf } from './JobState'
import styles from './JobsPage.module.css'
import { text } from './text'

type Job = Schemas['Job']

const total = (job: Job) => job.days.reduce((n, d) => n + d.colonies, 0)
const done = (job: Job) => job.days.reduce((n, d) => n + d.done, 0)
const last = (job: Job) =>
  job.days
    .map((d) => d.day)
    .toSorted()
    .at(-1) ?? ''

/** All jobs there were, how far each is, and what is put away. */
export default function JobsPage() {
  const jobs = useShownFirst((first) =>
    ask(['jobs', 'all', { first }], '/api/jobs', { query: { archived: true, first } }),
  )
  const { shown, bar } = useSift('jobs', jobs.data?.jobs ?? [], {
    words: (j) => `${j.name} ${text.methods[j.method]} ${j.colonies.map((c) => c.name).join(' ')}`,
    keeps: {
      [text.notAway]: (j) => !j.archived,
      [text.isOpen]: (j) => j.open === true,
      [text.ended.finished!]: (j) => j.ended_how === 'finished',
      [text.ended.cancelled!]: (j) => j.ended_how === 'cancelled',
      [text.away]: (j) => j.archived === true,
    },
    sorts: {
      [text.newestMade]: undefined,
      [text.lastDay]: (a, b) => last(b).localeCompare(last(a)),
      [text.byName]: (a, b) => a.name.localeCompare(b.name),
      [text.leastDone]: (a, b) => done(a) / total(a) - done(b) / total(b),
    },
  })
  return (
    <main className={page.page}>
      <div className={page.head}>
        <h1>{text.allJobs}</h1>
        <SoFar of={jobs.data?.so_far} jobs />
      </div>
      {!jobs.data && <Waiting query={jobs.query} />}
      {jobs.data?.jobs.length === 0 ? (
        <p>
          {text.noJobs} <Link to="/decide">{text.toDecideNow}</Link>
        </p>
      ) : (
        bar
      )}
      <ul className={styles.jobs} data-all-jobs>
        {shown.map((j) => (
          <Line key={j.id} job={j} />
        ))}
      </ul>
    </main>
  )
}

function Line({ job }: { job: Job }) {
  const keeper = may(useStart().me?.role, 'keeper')
  const putting = useSaving(
    (archived: boolean) =>
      data(client.POST('/api/jobs/{id}/archive', { params: { path: { id: job.id } }, body: { archived } })),
    () => stale('jobs', 'check'),
  )
  const over = !job.open && !job.in
  return (
    <li data-job={job.name} data-archived={job.archived ?? false}>
      <Mark method={job.method} />
      <div>
        <Link to={`/jobs/${job.id}`}>
          <b>{job.name}</b>
        </Link>
        <small className="quiet">
          {[...new Set(job.days.map((d) => date(d.day)))].join(', ')} · {stateOf(job)}
        </small>
        <Said message={putting.message} />
      </div>
      <div className={styles.progress}>
        <svg viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true">
          <rect width="100" height="8" className={styles.open} />
          <rect width={(100 * done(job)) / Math.max(1, total(job))} height="8" className={styles.done} />
        </svg>
        <span>{text.doneOf(done(job), total(job))}</span>
      </div>
      {keeper && (over || job.archived) && (
        <Press
          small
          says={job.archived ? text.takeOut : text.putAway}
          off={putting.busy}
          onPress={() => putting.save(!job.archived)}
          data-put-away
        />
      )}
    </li>
  )
}
