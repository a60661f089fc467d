import { useState } from 'react'
import { Link } from 'react-router'
import { FACTS } from '../method/facts'
import { client, data, type Schemas } from '../api/client'
import { date, plain, Press, queries, Said, tenths, useSaving } from '../kit'
import { text } from './text'
import styles from './treat.module.css'
import { roundKey } from '../outbox/queue'

interface Props {
  round: Schemas['Visit']
  batch: Schemas['VisitBatch'] | undefined
  left: number
  onBack: () => void
}

/** The end of the line: what is left, what becomes of it, and when to go back. */
export function Finished({ round, batch, left, onBack }: Props) {
  const [id] = useState(() => crypto.randomUUID())
  const writing = useSaving(
    (body: Schemas['StockEntry']) =>
      data(client.POST('/api/batches/{id}/entries', { params: { path: { id: batch?.id ?? '' } }, body })),
    () => void queries.invalidateQueries({ queryKey: roundKey(round.job_id, round.day) }),
  )
  const unit = batch?.on_hand.unit === 'pieces' ? FACTS[round.method].pieces(left) : text.ml
  return (
    <section className={styles.colony} data-finished>
      <h1>{text.finished}</h1>
      {round.act !== 'give' && <Link to={`/check/${round.job_id}`}>{text.toCheck}</Link>}
      {batch && round.act === 'give' && (
        <>
          <p className={styles.dose}>
            <b>{tenths(left)}</b> <small>{unit}</small>
          </p>
          <p>
            {text.finishedLeft(`${tenths(left)} ${unit}`)}.{' '}
            <Link to={`/batches/${batch.id}`}>{text.toBatch}</Link>
          </p>
          {left > 0 && (
            <>
              <p>{text.neutralise(plain(Math.ceil(batch.bicarbonate_g ?? 0)))}</p>
              <Said message={writing.message} />
              <Press
                big
                outlined
                says={text.neutralisedYes}
                off={writing.busy}
                onPress={() =>
                  writing.save({ id, kind: 'discarded', amount: left, reason: text.neutralised })
                }
                data-neutralised
              />
            </>
          )}
        </>
      )}
      {round.due_out && round.due_last && <p>{text.due(date(round.due_out), date(round.due_last))}</p>}
      <Press says={text.last} onPress={onBack} />
    </section>
  )
}
