import Alert from '@mui/material/Alert'
import { useQuery } from '@tanstack/react-query'
import { Link, useParams } from 'react-router'
import { ask, Asking, may, Press, stale, three, useSaving, useStart, Waiting } from '../../kit'
import { client, data, type Schemas } from '../../api/client'
import { ToRounds } from '../../followup/ToRounds'
import { PARTS } from '../../method/registry'
import shared from '../book.module.css'
import styles from './BatchPage.module.css'
import { LedgerPanel } from '../LedgerPanel'
import { CorrectHolds } from './CorrectHolds'
import { MixAgain } from './MixAgain'
import { Remarks } from './Remarks'
import { text } from '../text'

type Batch = Schemas['Batch']

/** One saved batch, as it was worked out then. */
export default function BatchPage() {
  const { id = '' } = useParams()
  const batch = useQuery(ask(['batches', id], '/api/batches/{id}', { path: { id } }))
  return (
    <main className={shared.page}>
      <p className="no-print">
        <Link to="/batches">{text.all}</Link>
      </p>
      {batch.data ? <Whole batch={batch.data} /> : <Waiting query={batch} />}
    </main>
  )
}

function Whole({ batch }: { batch: Batch }) {
  const { Docket, Boards } = PARTS[batch.method]
  const role = useStart().me?.role
  const voiding = useSaving(
    (reason: string) =>
      data(client.POST('/api/batches/{id}/void', { params: { path: { id: batch.id } }, body: { reason } })),
    () => stale('batches'),
  )
  return (
    <>
      <h1 className={batch.voided_at ? shared.struck : undefined}>{batch.name}</h1>
      {batch.voided_at && (
        <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
          {text.voided(batch.void_reason ?? '')}
        </Alert>
      )}
      <p className={`${styles.holds} no-print`}>
        {text.number(batch.number)} · {text.states[batch.state]}
      </p>
      {batch.state === 'made' && batch.strength && (
        <p className={`${shared.asMade} no-print`} data-as-made>
          {three(batch.strength.value)} <small>{text.strengths[batch.strength.unit]}</small>
        </p>
      )}
      <p className={`${styles.holds} no-print`}>
        {text.holds} {batch.composition.map((c) => text.component(three(c.grams), c.name)).join(' · ')}
      </p>
      {batch.parent_id && (
        <p className={`${styles.holds} no-print`}>
          {text.parent} <Link to={`/batches/${batch.parent_id}`}>{batch.parent_name}</Link>
        </p>
      )}
      <div className={styles.columns}>
        {batch.leftover ? (
          <p>{text.leftover}</p>
        ) : (
          <div>
            {batch.state === 'made' && <p className="quiet no-print">{text.thePlan}</p>}
            <Docket batch={batch} />
          </div>
        )}
        <div className="no-print">
          <div className={styles.actions}>
            {!batch.leftover && !batch.voided_at && (
              <Press
                outlined
                main={batch.state === 'planned' || batch.state === 'bench'}
                says={
                  batch.state === 'planned'
                    ? text.toBench
                    : batch.state === 'bench'
                      ? text.onBench
                      : text.asMixed
                }
                to={`/bench/${batch.id}`}
                data-to-bench
              />
            )}
            {batch.state === 'made' && !batch.voided_at && <ToRounds method={batch.method} />}
            <Press outlined says={text.label} to={`/batches/${batch.id}/label`} data-to-label />
            <MixAgain batch={batch} />
            <Press outlined says={text.recall} to={`/recall?batch=${batch.id}`} data-to-recall />
            <Press outlined says={text.print} onPress={() => print()} />
          </div>
          <LedgerPanel batch={batch} />
          {!batch.leftover && <Boards batch={batch} />}
          <Remarks batch={batch} />
          {batch.state === 'made' &&
            !batch.voided_at &&
            batch.composition.length > 0 &&
            may(role, 'keeper') && <CorrectHolds batch={batch} />}
          {!batch.voided_at && (
            <Asking
              harm
              action={text.voidThis}
              hint={text.voidHint}
              question={text.voidReason}
              yes={text.voidYes}
              fault={voiding.message}
              onYes={(reason) => voiding.save(reason)}
            />
          )}
        </div>
      </div>
    </>
  )
}
