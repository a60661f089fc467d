import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { ToRounds } from '../followup/ToRounds'
import { Label } from '../label/Label'
import { labelQuery, volume } from '../kit'
import shared from './bench.module.css'
import styles from './Ended.module.css'
import { Band, strengthOf } from './SoFar'
import { text } from './text'
import { Log } from './Log'
import type { Run } from './useBench'

/** A batch that is done with: what it is, and the ways on from here. */
export function Ended({ run }: { run: Run }) {
  const label = useQuery({ ...labelQuery(run.batch_id), enabled: run.state === 'made' })
  const poured = run.so_far && volume(run.so_far.volume_ml)
  return (
    <main data-gloves className={shared.ended} data-ended={run.ended}>
      <h1>{text.beginTitle(run.number, run.name)}</h1>
      {run.state === 'discarded' ? (
        <p className={shared.target}>{text.discarded}</p>
      ) : (
        run.so_far &&
        run.begun && (
          <>
            <p className={shared.target}>{strengthOf(run.so_far)}</p>
            <Band made={run.so_far} />
            <p className={shared.facts}>{text.volume(`${poured?.value} ${poured?.unit}`)}</p>
          </>
        )
      )}
      {label.data && run.state === 'made' && <Label label={label.data} />}
      <p className={styles.ways}>
        {run.state === 'made' && <Link to={`/batches/${run.batch_id}/label`}>{text.toLabel}</Link>}
        <Link to={`/batches/${run.batch_id}`}>{text.toLedger}</Link>
        {run.leftover_id && <Link to={`/batches/${run.leftover_id}`}>{text.toRest}</Link>}
        {label.data && run.state === 'made' && <ToRounds method={label.data.method} />}
      </p>
      <Log run={run} />
    </main>
  )
}
