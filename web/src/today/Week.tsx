import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import docket from '../../../words/names/docket.json'
import { Docket } from '../docket/Docket'
import { open } from '../followup/goTo'
import { date, plain, Press, volume, weekday } from '../kit'
import { text } from './text'
import styles from './Week.module.css'

const WEEK = 7
const LATE = { late: true, due: true } as Record<string, boolean>

/** The paper for the truck: what is done on which day, what to take along, what runs out. */
export function Week({ of: t }: { of: Schemas['Today'] }) {
  const last = dayAfter(t.today, WEEK)
  const soon = t.followups.filter((f) => f.from <= last)
  const ends = t.calls.filter((c) => c.by && c.kind !== 'throw_out')
  const { gear, boards, jars } = t.along
  const along = [
    ...jars.map((j) => {
      const ml = j.unit === 'ml' ? volume(j.left) : { value: plain(j.left), unit: text.units[j.unit] }
      return `${j.name}: ${ml.value} ${ml.unit}`
    }),
    ...gear.map((g) => (docket.gear as Record<string, string>)[g] ?? g),
    ...(boards ? [text.boards(boards)] : []),
  ]
  return (
    <aside className={styles.week} data-week>
      <Docket title={text.week} sub={text.weekSub} origin={date(t.today)}>
        {soon.length === 0 && <p className="quiet">{text.weekEmpty}</p>}
        <ul className={styles.rows}>
          {soon.map((f) => (
            <li key={`${f.key} ${f.yard_id} ${f.from}`}>
              <span>{weekday(LATE[f.state] ? t.today : f.from)}</span>
              <span>
                <b>{f.yard}</b> {text.job(f.title, f.colonies.filter((c) => open(c.state)).length)}
              </span>
            </li>
          ))}
        </ul>
        {t.along.mix.length > 0 && (
          <section className={styles.list}>
            <h3>{text.mix}</h3>
            <ul>
              {t.along.mix.map((job) => (
                <li key={job.id}>
                  <Link to={`/jobs/${job.id}`} data-mix-first>
                    {job.name}
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        )}
        {along.length > 0 && <List title={text.along} of={along} />}
        {ends.length > 0 && (
          <List title={text.ends} of={ends.map((c) => `${c.title}, ${date(c.by ?? '')}`)} />
        )}
        <Press outlined says={text.print} onPress={() => print()} className="no-print" />
      </Docket>
    </aside>
  )
}

const List = ({ title, of }: { title: string; of: string[] }) => (
  <section className={styles.list}>
    <h3>{title}</h3>
    <ul>
      {of.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  </section>
)

function dayAfter(day: string, days: number) {
  const on = new Date(`${day}T12:00Z`)
  on.setUTCDate(on.getUTCDate() + days)
  return on.toISOString().slice(0, 10)
}
