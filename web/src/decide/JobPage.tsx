import { useQuery } from '@tanstack/react-query'
import { Link, useNavigate, useParams } from 'react-router'
import { ask, day, Press, Said, useSaving, useStart, Waiting } from '../kit'
import { client, data, type Schemas } from '../api/client'
import { Docket } from '../docket/Docket'
import { Verdict, type VerdictName } from '../drawing/Verdict'
import { adopt } from '../method/begin'
import { keepDraft } from '../method/useDraft'
import shared from './decide.module.css'
import styles from './JobPage.module.css'
import { JobState } from './JobState'
import { text } from './text'

/** A job: who gets what on which day, and under which rule; from here it goes on to Mix. */
export default function JobPage() {
  const { id = '' } = useParams()
  const job = useQuery(ask(['jobs', id], '/api/jobs/{id}', { path: { id } }))
  return (
    <main className={styles.job}>
      <Link to="/decide" className="no-print">
        {text.toDecide}
      </Link>
      {job.data ? <Whole job={job.data} /> : <Waiting query={job} />}
    </main>
  )
}

function Whole({ job }: { job: Schemas['Job'] }) {
  const navigate = useNavigate()
  const { usual } = useStart()
  const onward = useSaving(
    (of: string) =>
      data(client.GET('/api/jobs/{id}/recipe', { params: { path: { id: job.id }, query: { day: of } } })),
    ({ recipe, place, rule }) => {
      keepDraft(adopt(recipe, usual, place, rule))
      void navigate('/mix')
    },
  )
  return (
    <Docket
      leads
      title={job.name}
      sub={`${text.methods[job.method]} · ${text.people(job.people ?? 1)}`}
      origin={text.madeOn(day(job.created_at))}
    >
      <p>
        {text.rules[job.rule_kind]}
        {job.rule && `: ${job.rule}`}
      </p>
      <JobState job={job} />
      {job.untreated && <p data-untreated>{text.untreated(job.untreated.join(', '))}</p>}
      <Press says={text.toCheck} to={`/check/${job.id}`} className="no-print" data-to-check />
      {job.days.map((d) => (
        <section key={d.day} data-job-day={d.day}>
          <div className={shared.big}>
            <b>{day(d.day)}</b>
            <span>
              {text.share(d.colonies, d.minutes)}
              {d.done > 0 && ` · ${text.doneOf(d.done, d.colonies)}`}
            </span>
          </div>
          <ul className={shared.list}>
            {job.colonies
              .filter((c) => c.day === d.day)
              .map((c) => (
                <li key={c.colony_id}>
                  <b>{c.name}</b>
                  <span>
                    <Verdict is={c.verdict as VerdictName} /> {text.verdicts[c.verdict as VerdictName]}
                  </span>
                  {c.override && (
                    <small style={{ flexBasis: '100%' }}>
                      {text.override}: {c.override}
                    </small>
                  )}
                </li>
              ))}
          </ul>
          <Press
            big
            says={text.goRound}
            to={`/rounds/${job.id}/${d.day}`}
            className="no-print"
            data-to-round
          />
          <Press
            big
            main
            says={text.mixDay(day(d.day))}
            className="no-print"
            off={onward.busy}
            onPress={() => onward.save(d.day)}
            data-mix
          />
        </section>
      ))}
      <Said message={onward.message} />
      <Press says={text.print} className="no-print" onPress={() => print()} />
    </Docket>
  )
}
