import { useQuery } from '@tanstack/react-query'
import { dayMonth, jobsQuery, Press } from '../kit'
import { text } from './text'

/** The way from a batch that is made to the rounds that it can be given in. */
export function ToRounds({ method }: { method: string }) {
  const jobs = useQuery(jobsQuery)
  const open = (jobs.data ?? [])
    .filter((j) => j.open && j.method === method)
    .flatMap((j) => j.days.filter((d) => d.done < d.colonies).map((d) => ({ ...d, job: j })))
  return open.map(({ job, day }) => (
    <Press
      key={job.id + day}
      outlined
      main
      says={text.toRound(job.name, dayMonth(day))}
      to={`/rounds/${job.id}/${day}`}
      data-to-round
    />
  ))
}
