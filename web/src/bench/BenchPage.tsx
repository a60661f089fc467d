import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { Waiting } from '../kit'
import shared from './bench.module.css'
import styles from './BenchPage.module.css'
import { BeginForm } from './BeginForm'
import { Ended } from './Ended'
import { Finish } from './Finish'
import { Mend, mendable, told } from './Mend'
import { SoFar } from './SoFar'
import { Step } from './Step'
import { text } from './text'
import { useBenchQuery, useHappen, type Run } from './useBench'
import { useStream } from './useInstruments'
import { Alarm } from './Alarm'
import { Trouble } from './Trouble'

/** The bench: one batch mixed step by step. */
export default function BenchPage() {
  const { id = '' } = useParams()
  const run = useBenchQuery(id)
  if (!run.data) return <Waiting query={run} />
  if (!run.data.begun && run.data.state === 'planned') return <BeginForm run={run.data} />
  if (run.data.ended || !run.data.begun) return <Ended run={run.data} />
  return <Working key={id} run={run.data} />
}

function Working({ run }: { run: Run }) {
  const at = useHappen(run.batch_id)
  const { readings, instruments } = useStream(run.batch_id)
  const [finishing, setFinishing] = useState(false)
  // What it came to when it was said to be left as it is.
  const [accepted, setAccepted] = useState<string>()
  const open = mendable(run) && accepted !== told(run)
  const go = (i: number) => {
    const act = run.acts[i]
    if (act) void at.happen({ kind: 'opened', act: act.id })
  }
  const probe = instruments.find((i) => i.kind === 'probe' && i.connected)
  return (
    <main data-gloves className={shared.bench} data-bench={run.acts[run.at]?.id} data-seq={run.seq}>
      <h1 className="unseen">{text.beginTitle(run.number, run.name)}</h1>
      <section className={styles.stage}>
        <Alarm run={run} readings={readings} probe={probe} />
        <Trouble at={at} />
        {open && <Mend run={run} at={at} onAccept={() => setAccepted(told(run))} />}
        {finishing ? (
          <Finish run={run} at={at} onBack={() => setFinishing(false)} />
        ) : (
          <Step
            key={run.acts[run.at]?.id}
            run={run}
            at={at}
            readings={readings}
            instruments={instruments}
            foot={{
              onBack: () => go(run.at - 1),
              first: run.at === 0,
              busy: at.busy,
              held: open ? text.mendFirst : undefined,
            }}
            onNext={() => (run.at + 1 < run.acts.length ? go(run.at + 1) : setFinishing(true))}
          />
        )}
      </section>
      <aside className={styles.side}>
        <SoFar run={run} at={at} />
        <p className={styles.note}>
          <Link to={`/batches/${run.batch_id}`}>{text.toBatch}</Link>
        </p>
      </aside>
    </main>
  )
}
