import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { date, day, jobsQuery, Press, useStart, Waiting } from '../kit'
import { type Schemas } from '../api/client'
import { Mark } from '../drawing/Mark'
import { text } from './text'
import shared from './treat.module.css'
import styles from './TreatPage.module.css'

type Job = Schemas['Job']

/** All goings-out of the jobs there are: what is to come out first, then what is to be given. */
export default function TreatPage() {
  const today = useStart().now.slice(0, 10)
  const jobs = useQuery(jobsQuery)
  const all = jobs.data ?? []
  return (
    <main data-gloves className={shared.page}>
      <h1>{text.title}</h1>
      <p className="quiet">{text.intro}</p>
      {!jobs.data && <Waiting query={jobs} />}
      {jobs.data?.length === 0 && (
        <p>
          {text.none} <Link to="/decide">{text.toDecide}</Link>
        </p>
      )}
      {all
        .filter((j) => (j.in ?? 0) > 0 && (j.due_out ?? '') <= today)
        .map((j) => (
          <div key={j.id} className={styles.outing} data-taking-out={j.name}>
            <Mark method={j.method} />
            <span>
              <b>{j.name}</b>
              {text.colonies(j.in ?? 0)} ·{' '}
              {(j.due_last ?? '') < today ? (
                <strong className={shared.harm}>{text.pastOut}</strong>
              ) : (
                text.dueOut(date(j.due_out ?? ''), date(j.due_last ?? ''))
              )}
            </span>
            <span />
            <Press main big says={text.startOut} to={`/rounds/${j.id}/${today}/out`} data-go-out />
          </div>
        ))}
      {all
        .filter((j) => j.open)
        .map((j) => (
          <Days key={j.id} job={j} />
        ))}
      {all.some((j) => !j.open) && (
        <details>
          <summary>{text.overWith}</summary>
          {all
            .filter((j) => !j.open)
            .map((j) => (
              <Days key={j.id} job={j} />
            ))}
        </details>
      )}
      <p>
        <Link to="/practice">{text.practice}</Link>
      </p>
    </main>
  )
}

function Days({ job: j }: { job: Job }) {
  return j.days.map((d) => (
    <div key={d.day} className={styles.outing} data-outing={d.day}>
      <Mark method={j.method} />
      <span>
        <b>{day(d.day)}</b>
        {j.name} · {text.colonies(d.colonies)}
        {d.done > 0 && ` · ${text.doneOf(d.done)}`}
      </span>
      <Press says={text.sheet} to={`/rounds/${j.id}/${d.day}/sheet`} />
      <Press main big says={text.start} to={`/rounds/${j.id}/${d.day}`} data-go-round />
    </div>
  ))
}
