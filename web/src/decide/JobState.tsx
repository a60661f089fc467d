import { useState } from 'react'
import { client, data, type Schemas } from '../api/client'
import { date, may, Press, Said, stale, useSaving, useStart } from '../kit'
import styles from './JobState.module.css'
import { text } from './text'

type Job = Schemas['Job']
type How = Schemas['EndJob']['how']

/** Where a job stands, in a word. */
export const stateOf = (job: Job) =>
  job.ended_how ? (text.ended[job.ended_how] ?? '') : job.open ? text.isOpen : text.lapsed

/** Where a job stands, and the two ways to close it: an open one holds its hives back from others. */
export function JobState({ job }: { job: Job }) {
  const keeper = may(useStart().me?.role, 'keeper')
  const [asking, setAsking] = useState<How>()
  const ending = useSaving(
    (how: How) =>
      data(client.POST('/api/jobs/{id}/end', { params: { path: { id: job.id } }, body: { how } })),
    () => stale('jobs'),
  )
  const open = job.days.reduce((n, d) => n + d.colonies - d.done, 0)
  const end = (how: How) => (how === 'cancelled' || open > 0 ? setAsking(how) : ending.save(how))
  return (
    <div className={`${styles.state} no-print`} data-job-state={stateOf(job)}>
      <b>{stateOf(job)}</b>
      {job.ended_on && <span>{date(job.ended_on)}</span>}
      {job.in ? <p>{text.stillIn(job.in, date(job.due_out ?? ''), date(job.due_last ?? ''))}</p> : null}
      {keeper && !job.ended_how && (
        <p>
          <Press
            big
            outlined
            says={text.finish}
            off={ending.busy}
            onPress={() => end('finished')}
            data-finish
          />
          <Press big harm says={text.cancel} off={ending.busy} onPress={() => end('cancelled')} data-cancel />
        </p>
      )}
      {asking && !job.ended_how && (
        <p role="alertdialog">
          {asking === 'cancelled' ? text.cancelAsk : text.finishAsk(open)}{' '}
          <Press main says={text.yes} off={ending.busy} onPress={() => ending.save(asking)} data-end-yes />
          <Press says={text.no} onPress={() => setAsking(undefined)} />
        </p>
      )}
      <Said message={ending.message} />
    </div>
  )
}
