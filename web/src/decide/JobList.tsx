import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { ask, day } from '../kit'
import { Mark } from '../drawing/Mark'
import styles from './decide.module.css'
import { stateOf } from './JobState'
import { text } from './text'

const newestQuery = ask(['jobs', { first: true }], '/api/jobs', { query: { first: true } })

/** The newest jobs that were made. */
export function JobList() {
  const jobs = useQuery(newestQuery)
  if (!jobs.data || jobs.data.jobs.length === 0) return null
  return (
    <section data-jobs>
      <h2>{text.jobs}</h2>
      <Link to="/jobs">{text.allJobs}</Link>
      <ul className={styles.list}>
        {jobs.data.jobs.map((j) => (
          <li key={j.id}>
            <Link to={`/jobs/${j.id}`}>
              <Mark method={j.method} /> {j.name}
            </Link>
            <span className="quiet">
              {text.hives(j.colonies.length)} · {j.days.map((d) => day(d.day)).join(', ')}
              {' · '}
              {stateOf(j)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
