import { useState } from 'react'
import { FACTS } from '../method/facts'
import type { Schemas } from '../api/client'
import type { Core } from '../core/core'
import { text as docketText } from '../docket/text'
import { type Hive } from '../method/amount'
import { amountOf } from '../method/amounts'
import { Boards } from './Boards'
import { Done } from './Done'
import { Extras } from './Extras'
import { Figure, Warnings } from './Figure'
import { OtherOutcome } from './OtherOutcome'
import type { Application } from '../outbox/outbox'
import { StopFirst } from './StopFirst'
import { TakeOut } from './TakeOut'
import { text } from './text'
import { Visiting } from './Visiting'
import shared from './treat.module.css'
import styles from './OneColony.module.css'
import type { Jar } from './useJar'
import { Press } from '../kit'

interface Props {
  round: Schemas['Visit']
  core: Core
  colony: Schemas['VisitColony']
  hive: Hive
  jar: Jar
  fromAbove: boolean
  onFromAbove: (above: boolean) => void
  /** What stands of it today. */
  records: Application[]
  onUndo: (record: Application) => void
  place: [number, number]
  opened: () => number
  onHive: (hive: Hive) => void
  onBack: (() => void) | undefined
  onNext: () => void
  onWrite: (what: Application) => void
}

/** The colony that is open: its seams from above, the one figure that counts, and the button that takes it. */
export function OneColony(props: Props) {
  const { round, core, colony, hive, jar, fromAbove, records, place, opened } = props
  const [other, setOther] = useState(false)
  const [extras, setExtras] = useState<string[]>([])
  const [against, setAgainst] = useState<string>()
  const amount = amountOf(core, round, hive, jar.batch, fromAbove)
  const gives = round.act === 'give'
  const cameOut = records.some((r) => r.kind === 'out')
  const takesOut = (colony.in_hive ?? 0) > 0 && FACTS[round.method].stays && !cameOut && !round.swaps
  const done = records.some((r) => (gives ? r.kind !== 'out' : !r.extra))
  const stopped = (colony.stop?.length ?? 0) > 0 && against === undefined
  const write = (what: Partial<Application>) => {
    const given = what.kind === undefined || what.kind === 'given'
    props.onWrite({
      id: crypto.randomUUID(),
      colony_id: colony.id,
      yard_id: colony.yard_id,
      kind: 'given',
      asked: amount.figure,
      seams: hive.boxes.map((b) => b.seams ?? []),
      extras,
      open_s: opened(),
      ...(given && jar.batch ? { batch_id: jar.batch.id, ...jar.said } : {}),
      ...(given && against !== undefined ? { against } : {}),
      ...what,
    })
    setOther(false)
  }
  const joint =
    FACTS[round.method].bySeams && hive.boxes.filter((b) => b.seams?.some((s) => s > 0)).length > 1
  const wear = (
    <ul className={styles.wear} aria-label={text.wear}>
      {round.gear.map((g) => (
        <li key={g}>{docketText.gear[g] ?? g}</li>
      ))}
    </ul>
  )
  return (
    <section
      className={place[0] % 2 === 0 ? `${shared.colony} ${styles.even}` : shared.colony}
      data-colony-open={hive.name}
    >
      <header>
        <h1>{hive.name}</h1>
        <span>
          {colony.yard} · {text.position(...place)}
        </span>
      </header>
      {!other && wear}
      {done ? (
        <Done round={round} records={records} onUndo={props.onUndo} />
      ) : round.act !== 'give' ? (
        <Visiting
          round={round}
          colony={colony}
          hive={hive}
          amount={amount}
          jar={jar}
          records={records}
          onUndo={props.onUndo}
          onHive={props.onHive}
          onWrite={write}
        />
      ) : stopped && !takesOut ? (
        <StopFirst
          colony={colony}
          keep={`round.against.${round.job_id}.${colony.id}`}
          onPass={props.onNext}
          onAgainst={setAgainst}
        />
      ) : takesOut ? (
        <TakeOut colony={colony} onOut={(out) => write({ kind: 'out', ...out })} />
      ) : (
        <>
          {round.swaps && (colony.in_hive ?? 0) > 0 && (
            <p className={shared.joint} data-swap>
              {text.swap(FACTS[round.method].pieces(2), colony.days_in ?? 0)}
            </p>
          )}
          <Warnings amount={amount} />
          {!other && <Boards hive={hive} amount={amount} onHive={props.onHive} />}
          {joint && !other && (
            <p className={shared.joint}>
              {text.joint}:{' '}
              <button type="button" aria-pressed={!fromAbove} onClick={() => props.onFromAbove(false)}>
                {text.open}
              </button>
              <button type="button" aria-pressed={fromAbove} onClick={() => props.onFromAbove(true)}>
                {text.above}
              </button>
              <small>{text.jointWhy}</small>
            </p>
          )}
          <Figure amount={amount} />
          {(against ?? colony.override_reason) && (
            <p className="quiet">{against ?? colony.override_reason}</p>
          )}
          {other ? (
            <OtherOutcome
              amount={amount}
              choices={round.all}
              onWrite={write}
              onCancel={() => setOther(false)}
            />
          ) : (
            <div className={shared.takes}>
              <Press big outlined says={text.other} onPress={() => setOther(true)} data-other />
              <Press
                big
                main
                says={FACTS[round.method].placed ? text.placed : text.given}
                off={amount.figure <= 0 || jar.unsaid}
                onPress={() =>
                  write({
                    amount: amount.figure,
                    boxes: amount.boxes,
                    ...(amount.gaps && { gaps: amount.gaps }),
                  })
                }
                data-given
              />
            </div>
          )}
          <Extras round={round} ticked={extras} onTick={setExtras} />
        </>
      )}
      <nav className={styles.way}>
        <Press says={text.last} off={!props.onBack} onPress={props.onBack} />
        {other && wear}
        <Press says={text.next} onPress={props.onNext} data-next />
      </nav>
    </section>
  )
}
