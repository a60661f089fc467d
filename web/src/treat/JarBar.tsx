import { named, Pick, plain, Press, tenths } from '../kit'
import { memo } from 'react'
import { Link } from 'react-router'
import { FACTS } from '../method/facts'
import type { Schemas } from '../api/client'
import { Vessel } from '../drawing/Vessel'
import { text } from './text'
import shared from './treat.module.css'
import styles from './JarBar.module.css'
import type { Jar } from './useJar'

interface Props {
  round: Schemas['Visit']
  jar: Jar
  lasts: Schemas['Lasting']
}

/** The jar: what is left in it, how far that goes, and what to mind about it. */
export const JarBar = memo(function JarBar({ round, jar, lasts }: Props) {
  const { batch, left, unsaid } = jar
  const { vessel } = FACTS[round.method]
  const unit = batch?.on_hand.unit === 'pieces' ? FACTS[round.method].pieces(left) : text.ml
  return (
    <section className={styles.jar} data-jar>
      {vessel && (
        <Vessel
          kind={vessel}
          volume={unsaid ? 0 : Math.max(0, left)}
          taken={0}
          figure={unsaid ? '–' : plain(Math.round(left))}
          unit={unit}
        />
      )}
      <div>
        {unsaid ? null : batch ? (
          <>
            <p className={left < 0 ? `${styles.jarLeft} ${shared.harm}` : styles.jarLeft}>
              <b data-jar-left>{tenths(left)}</b> {unit} {text.left}
              {left < 0 && ` · ${text.reconcile}`}
            </p>
            <p className={lasts.short > 0 ? shared.harm : undefined} data-lasts>
              {lasts.short > 0
                ? `${text.does(lasts.colonies)}, ${text.short(`${tenths(lasts.short)} ${unit}`)}`
                : text.doesAll(`${tenths(lasts.over)} ${unit}`)}
            </p>
          </>
        ) : (
          <p>
            {text.mixFirst} <Link to={`/jobs/${round.job_id}`}>{text.toMix}</Link>
          </p>
        )}
        <JarChoice round={round} jar={jar} />
      </div>
    </section>
  )
})

/** Which jar it is given from, and what to mind about that one. */
export const JarChoice = memo(function JarChoice({ round, jar }: Pick<Props, 'round' | 'jar'>) {
  const { batch } = jar
  return (
    <>
      {jar.unsaid && <Unsaid jar={jar} method={round.method} />}
      <Pick
        label={text.jarLabel}
        value={batch?.id ?? 'none'}
        options={{
          ...named(
            round.batches.map((b) => ({
              id: b.id,
              name: `${text.jar(b.number, b.name)}${b.made ? '' : text.notMade}`,
            })),
          ),
          none: text.noJar,
        }}
        onChange={jar.choose}
      />
      {!batch && <p className="quiet">{text.noJarCosts}</p>}
      {batch?.on_hand.keeps === 'past' && <b className={shared.harm}> {text.pastDay}</b>}
      {batch?.too_strong && (
        <p className={shared.harm} role="alert" data-too-strong>
          {text.tooStrong}
        </p>
      )}
    </>
  )
})

/** A batch that never was at the bench is poured only by who says that it was mixed. */
function Unsaid({ jar, method }: { jar: Jar; method: Schemas['Visit']['method'] }) {
  return (
    <div data-unsaid>
      <p className={shared.harm}>{text.unsaid}</p>
      {FACTS[method].vessel === 'jar' ? (
        <>
          <Press outlined says={text.byHandRoom} onPress={() => jar.sayByHand('room')} data-by-hand />{' '}
          <Press outlined says={text.byHandFridge} onPress={() => jar.sayByHand('fridge')} />
        </>
      ) : (
        <Press outlined says={text.byHand} onPress={() => jar.sayByHand(undefined)} data-by-hand />
      )}
      <br />
      <Link to={`/batches/${jar.batch?.id}`}>{text.toBench}</Link>
    </div>
  )
}
