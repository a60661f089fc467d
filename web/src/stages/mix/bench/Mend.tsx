import Button from '@mui/material/Button'
import { useState } from 'react'
import { plain, three, volume } from '../../../units/format'
import { useUnits } from '../../../units/units'
import styles from './bench.module.css'
import { Discard } from './Discard'
import { strengthOf } from './SoFar'
import { text } from './text'
import type { Happening, Run } from './useBench'

/** Something is in, and it would not come out as wanted. */
export const mendable = (run: Run) => run.mending !== undefined && run.acts.some((a) => a.took.length > 0)

/** What brings the batch back, or how to throw it away; or it is left as it is. */
export function Mend({ run, at }: { run: Run; at: Happening }) {
  const { system } = useUnits()
  const [left, setLeft] = useState<number>()
  const [discarding, setDiscarding] = useState(false)
  const { mending, comes } = run
  if (!mending || !comes || left === run.acts.reduce((n, a) => n + a.took.length, 0)) return null
  if (discarding) return <Discard run={run} at={at} onKeep={() => setDiscarding(false)} />
  const poured = volume(mending.made.volume_ml, system)
  const off = comes.strength.stand !== 'within' ? comes.strength : (comes.sugar_per_water ?? comes.strength)
  const unit = off === comes.strength ? text.strength[comes.unit] : text.ratio
  return (
    <section className={styles.mend} aria-live="polite" data-mend>
      <h2>{text.mendTitle}</h2>
      <p>{text.mendSays(`${three(off.value)} ${unit}`, three(off.low), three(off.high))}</p>
      {mending.possible ? (
        <>
          <p>{text.mendBy}</p>
          <p className={styles.additions}>
            {mending.add.map((a) => (
              <b key={a.ingredient} data-add={a.ingredient}>
                {a.count
                  ? text.mendCount(a.count, a.ingredient)
                  : text.mendAdd(plain(a.weighing?.total_g ?? a.grams), a.ingredient)}
              </b>
            ))}
          </p>
          <p>
            {text.mendTo(`${poured.value} ${poured.unit}`, strengthOf(mending.made))}{' '}
            {mending.fits === true && text.mendFits}
            {mending.fits === false && <b className={styles.harm}>{text.mendTight}</b>}
          </p>
        </>
      ) : (
        <p>{text.mendNot}</p>
      )}
      <div className={styles.keys}>
        {mending.possible && (
          <Button
            variant="contained"
            size="large"
            disabled={at.busy}
            onClick={() => void at.happen({ kind: 'mended' })}
            data-mend-yes
          >
            {text.mend}
          </Button>
        )}
        <Button onClick={() => setLeft(run.acts.reduce((n, a) => n + a.took.length, 0))}>
          {text.keepSo}
        </Button>
        <Button color="error" onClick={() => setDiscarding(true)} data-discard>
          {text.discard}
        </Button>
      </div>
    </section>
  )
}
