import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { day, jobsQuery } from '../kit'
import { Mark } from '../drawing/Mark'
import styles from './decide.module.css'
import { stateOf } from './JobState'
import { text } from './text'

const SHOWN = 12

/** The newest jobs that were made. */
export function JobList() {
  const jobs = useQuery(jobsQuery)
  if (!jobs.data || jobs.data.length === 0) return null
  return (
    <section data-jobs>
      <h2>{text.jobs}</h2>
      <Link to="/jobs">{text.allJobs}</Link>
      <ul className={styles.list}>
        {jobs.data.slice(0, SHOWN).map((j) => (
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
