import { useState } from 'react'
import { plain, Press, tenths, three, volume } from '../kit'
import shared from './bench.module.css'
import styles from './Mend.module.css'
import { Discard } from './Discard'
import { strengthOf } from './SoFar'
import { text } from './text'
import type { Happening, Run } from './useBench'

/** Something is in, and it would not come out as wanted. */
export const mendable = (run: Run) => run.mending !== undefined && run.acts.some((a) => a.added.length > 0)

/** What it comes to, as it is told: the same until something else is wrong. */
export const told = ({ comes }: Run) =>
  comes ? [comes.strength, comes.sugar_per_water].map((f) => (f ? three(f.value) : '')).join(' ') : ''

/** So much of an ingredient is in, in g. */
const inside = (run: Run, ingredient: string) =>
  run.acts
    .filter((a) => a.ingredient === ingredient)
    .reduce((sum, a) => sum + a.added.reduce((s, t) => s + t.grams, 0), 0)

interface Props {
  run: Run
  at: Happening
  /** It is left as it is. */
  onAccept: () => void
}

/** What undoes it, or brings the batch back, or how to throw it away; or it is left as it is. */
export function Mend({ run, at, onAccept }: Props) {
  const [discarding, setDiscarding] = useState(false)
  const { mending, comes, surplus } = run
  if (!mending || !comes) return null
  if (discarding) return <Discard run={run} at={at} onKeep={() => setDiscarding(false)} />
  const poured = volume(mending.made.volume_ml)
  const off = comes.strength.stand !== 'within' ? comes.strength : (comes.sugar_per_water ?? comes.strength)
  const unit = off === comes.strength ? text.strength[comes.unit] : text.ratio
  return (
    <section className={shared.mend} aria-live="polite" data-mend>
      <h2>{text.mendTitle}</h2>
      <p>{text.mendSays(`${three(off.value)} ${unit}`, three(off.low), three(off.high))}</p>
      {surplus && <Undo run={run} at={at} surplus={surplus} />}
      {mending.possible ? (
        <>
          <p>{surplus ? text.mendOr : text.mendBy}</p>
          <p className={styles.additions}>
            {mending.add.map((a) => (
              <b key={a.ingredient} data-add={a.ingredient}>
                {a.count
                  ? text.mendCount(a.count, a.name)
                  : text.mendAdd(
                      plain(a.weighing?.total_g ?? a.grams),
                      a.name,
                      tenths(inside(run, a.ingredient) + a.grams),
                    )}
              </b>
            ))}
          </p>
          <p>
            {text.mendTo(`${poured.value} ${poured.unit}`, strengthOf(mending.made))}{' '}
            {mending.fits === true && text.mendFits}
            {mending.fits === false && <b className={shared.harm}>{text.mendTight}</b>}
          </p>
        </>
      ) : (
        <p>{text.mendNot}</p>
      )}
      <div className={shared.keys}>
        {mending.possible && (
          <Press
            outlined
            main={!surplus}
            big
            says={text.mend}
            off={at.busy}
            onPress={() => void at.happen({ kind: 'corrected' })}
            data-mend-yes
          />
        )}
        <Press says={text.keepSo} onPress={onAccept} data-mend-no />
        <Press harm says={text.discard} onPress={() => setDiscarding(true)} data-discard />
      </div>
    </section>
  )
}

/** What undoes it while it can be undone: dry powder comes off with a spoon, and is weighed again. */
function Undo({ run, at, surplus }: Pick<Props, 'run' | 'at'> & { surplus: NonNullable<Run['surplus']> }) {
  const act = run.acts.find((a) => a.id === surplus.act)
  if (!act) return null
  const again = async () => {
    if (await at.happen({ kind: 'removed', act: act.id, load: act.added.length - 1 }))
      await at.happen({ kind: 'opened', act: act.id })
  }
  return (
    <>
      <p className={styles.additions}>
        <b data-surplus>{text.takeOff(tenths(surplus.grams), act.name ?? '')}</b>
      </p>
      <p>{text.takeOffHow}</p>
      <p>
        <Press main big says={text.weighAgain} off={at.busy} onPress={() => void again()} data-weigh-again />
      </p>
    </>
  )
}
