import { plain, Press, tenths } from '../kit'
import styles from './bench.module.css'
import { text } from './text'
import type { Happening, Run } from './useBench'

interface Props {
  run: Run
  at: Happening
  onKeep: () => void
}

/** How a batch is made harmless, and that it was. */
export function Discard({ run, at, onKeep }: Props) {
  const d = run.discard
  return (
    <section className={styles.mend} data-discarding>
      <h2>{text.discardTitle}</h2>
      {d.bicarbonate_g > 0 && (
        <>
          <p>
            {text.discardHow(
              plain(Math.ceil(d.bicarbonate_g)),
              tenths(d.gas_l),
              d.portions,
              tenths(d.each_g),
            )}
          </p>
          <p>{text.discardBucket(tenths(d.bucket_l))}</p>
          <p>{text.discardBees}</p>
        </>
      )}
      <div className={styles.keys}>
        <Press
          main
          harm
          says={text.discardYes}
          off={at.busy}
          onPress={() => void at.happen({ kind: 'discarded' })}
          data-discard-yes
        />
        <Press says={text.keepIt} onPress={onKeep} />
      </div>
    </section>
  )
}
