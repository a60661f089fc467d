import NativeSelect from '@mui/material/NativeSelect'
import { Link } from 'react-router'
import type { Schemas } from '../../api/client'
import { Vessel } from '../../drawing/Vessel'
import { plain, tenths } from '../../units/format'
import { text } from './text'
import styles from './treat.module.css'

interface Props {
  round: Schemas['RoundDay']
  batch: Schemas['RoundBatch'] | undefined
  left: number
  reach: Schemas['ReachAnswer']
  onChoose: (id: string) => void
}

/** The jar: what is left in it, and how far that goes. */
export function JarBar({ round, batch, left, reach, onChoose }: Props) {
  const unit = batch?.on_hand.unit === 'pieces' ? text.pieces(round.method, left) : text.ml
  return (
    <section className={styles.jar} data-jar>
      {round.method !== 'strip' && (
        <Vessel
          kind={round.method === 'pad' ? 'bottle' : 'jar'}
          volume={Math.max(0, left)}
          taken={0}
          figure={plain(Math.round(left))}
          unit={unit}
        />
      )}
      <div>
        <p className={left < 0 ? `${styles.jarLeft} ${styles.harm}` : styles.jarLeft}>
          <b data-jar-left>{tenths(left)}</b> {unit} {text.left}
          {left < 0 && ` · ${text.reconcile}`}
        </p>
        {!batch && (
          <p>
            {text.mixFirst} <Link to={`/jobs/${round.job_id}`}>{text.toMix}</Link>
          </p>
        )}
        <p className={reach.short > 0 ? styles.harm : undefined} data-reach>
          {reach.short > 0
            ? `${text.does(reach.colonies)}, ${text.short(`${tenths(reach.short)} ${unit}`)}`
            : text.doesAll(`${tenths(reach.over)} ${unit}`)}
        </p>
        <NativeSelect
          value={batch?.id ?? 'none'}
          inputProps={{ 'aria-label': text.jarLabel }}
          onChange={(e) => onChoose(e.target.value)}
        >
          <option value="none">{text.noJar}</option>
          {round.batches.map((b) => (
            <option key={b.id} value={b.id}>
              {text.jar(b.number, b.name)}
            </option>
          ))}
        </NativeSelect>
        {batch?.on_hand.keeps === 'past' && <b className={styles.harm}> {text.pastDay}</b>}
      </div>
    </section>
  )
}
