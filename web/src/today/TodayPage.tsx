import Alert from '@mui/material/Alert'
import { useState } from 'react'
import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import { Task } from '../followup/Task'
import { useNewest } from '../followup/useNewest'
import { useTaskKeys } from '../followup/useTaskKeys'
import { date, longDay, Press, SoFar, todayQuery, useShownFirst, Waiting } from '../kit'
import { Band } from './Band'
import { CallRow, harms } from './CallRow'
import { text } from './text'
import { Together } from './Together'
import styles from './TodayPage.module.css'
import { Week } from './Week'

/** The first screen: what is late, what to do now and next, and where. */
export default function TodayPage() {
  const today = useShownFirst(todayQuery)
  useTaskKeys()
  useNewest()
  return today.data ? <Whole of={today.data} /> : <Waiting query={today.query} />
}

function Whole({ of: t }: { of: Schemas['Today'] }) {
  const stands = (state: string) => t.followups.filter((f) => f.state === state)
  const harm = t.calls.filter(harms)
  const urgent = t.calls.filter((c) => c.urgent && !harms(c))
  const other = t.calls.filter((c) => !c.urgent)
  const unmixed = new Set(t.along.mix.map((job) => job.id))
  const nothing = !t.so_far && t.followups.length + t.calls.length === 0
  return (
    <main className={styles.today}>
      <div className={styles.lead}>
        <div className={styles.head}>
          <h1>{longDay(t.today)}</h1>
          <SoFar of={t.so_far} />
          {t.sky && <span className="quiet">{text.sky(t.sky)}</span>}
        </div>
        {t.backup && (
          <Alert severity="warning" variant="outlined" data-old-backup>
            {text.oldBackup(t.backup.on && date(t.backup.on), t.backup.days ?? 0)}
          </Alert>
        )}
        <Lines title={text.harm} tasks={[]} calls={harm} unmixed={unmixed} today={t.today} />
        <Band band={t.band} today={t.today} />
        {nothing && <Nothing hives={t.hives} />}
        <Lines title={text.late} tasks={stands('late')} unmixed={unmixed} today={t.today} />
        <Lines title={text.now} tasks={stands('due')} calls={urgent} unmixed={unmixed} today={t.today} />
        <Lines title={text.next} tasks={stands('coming')} calls={other} unmixed={unmixed} today={t.today} />
        {!t.so_far && <Together key={t.fortnight?.from} of={t.fortnight} today={t.today} />}
      </div>
      {/* What to take along is told of all yards or not at all. */}
      {!t.so_far && <Week of={t} />}
    </main>
  )
}

/** Things of a kind that are shown at once; nobody reads hundreds. */
const MOST = 12

interface LinesProps {
  title: string
  tasks: Schemas['Followup'][]
  calls?: Schemas['Call'][]
  /** Jobs that nothing good is there for. */
  unmixed: ReadonlySet<string>
  today: string
}

function Lines({ title, tasks, calls = [], unmixed, today }: LinesProps) {
  const [whole, setWhole] = useState(false)
  const all = tasks.length + calls.length
  if (all === 0) return null
  const shown = whole ? all : MOST
  return (
    <section className={styles.lines}>
      <h2>{title}</h2>
      <ul>
        {tasks.slice(0, shown).map((f) => (
          <Task key={`${f.key} ${f.yard_id} ${f.from}`} of={f} today={today}>
            {f.kind === 'visit' && unmixed.has(f.job_id ?? '') && (
              <span data-not-mixed>
                {text.notMixed} <Link to={`/jobs/${f.job_id}`}>{text.mixIt}</Link>
              </span>
            )}
          </Task>
        ))}
        {calls.slice(0, Math.max(0, shown - tasks.length)).map((c) => (
          <CallRow key={`${c.key} ${c.yard_id}`} call={c} />
        ))}
      </ul>
      {all > shown && <Press says={text.showAll(all)} onPress={() => setWhole(true)} data-show-all />}
    </section>
  )
}

/** Where nothing is to be done, the way on. */
const Nothing = ({ hives }: { hives: number }) => (
  <p className={styles.nothing}>
    {hives === 0 ? text.noHives : text.nothing}{' '}
    <Link to={hives === 0 ? '/yards' : '/decide'}>{hives === 0 ? text.toYards : text.toDecide}</Link>
  </p>
)
