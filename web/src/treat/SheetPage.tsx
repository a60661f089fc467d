import { Fragment, useState } from 'react'
import { Link, useParams } from 'react-router'
import { FACTS } from '../method/facts'
import { day as written, downThe, onSent, plain, Press, readOne, useKept, Waiting } from '../kit'
import type { Schemas } from '../api/client'
import type { Core } from '../core/core'
import { text as docketText } from '../docket/text'
import { type From } from '../method/amount'
import { amountOf } from '../method/amounts'
import { JarChoice } from './JarBar'
import { standing } from './Round'
import { SignalBar } from '../outbox/SignalBar'
import { stopWords, text } from './text'
import shared from './treat.module.css'
import styles from './SheetPage.module.css'
import { enteredFields, useEntered, WhenGiven } from './WhenGiven'
import { useJar, type Jar } from './useJar'
import { useOutbox } from '../outbox/useOutbox'
import { useCore, useRound } from './useRound'

/** The round on paper, a page a yard, and its figures typed in afterwards. */
export default function SheetPage() {
  const { id = '', day = '' } = useParams()
  const round = useRound(id, day, 'give')
  const { core } = useCore()
  if (!round.data || !core) return <Waiting query={round} />
  return <Sheet round={round.data} core={core} />
}

function Sheet({ round, core }: { round: Schemas['Visit']; core: Core }) {
  const [typing, setTyping] = useState(false)
  const yards = [...new Map(round.colonies.map((c) => [c.yard_id, c.yard])).entries()]
  const jar = useJar(round, [])
  const batch = jar.unsaid ? undefined : jar.batch
  const { bySeams } = FACTS[round.method]
  return (
    <main className={shared.page} data-sheet>
      <div className="no-print">
        <Link to={`/rounds/${round.job_id}/${round.day}`}>{text.start}</Link>{' '}
        <Press says={text.print} onPress={() => print()} />
        <Press outlined main={typing} says={text.typeIn} onPress={() => setTyping(!typing)} data-type-in />
      </div>
      {typing && <TypeIn round={round} jar={jar} core={core} />}
      <div className={typing ? 'no-print' : undefined} hidden={typing}>
        {yards.map(([yard, name], i) => (
          <section key={yard} style={i > 0 ? { breakBefore: 'page' } : undefined} data-sheet-yard={name}>
            <h1>{text.sheetTitle(`${round.name}, ${name}`, written(round.day))}</h1>
            <p>
              {round.gear.map((g) => docketText.gear[g] ?? g).join(' · ')}. {round.rule_worked_under}.
              {batch && ` ${text.jar(batch.number, batch.name)}.`}{' '}
              {bySeams && text.sheetIntro(plain(forSeams(core, round, batch, 1)))}
            </p>
            {bySeams && <DoseTable round={round} core={core} from={batch} />}
            <table className={styles.sheet}>
              <thead>
                <tr>
                  <th>{text.hive}</th>
                  <th>{text.seams}</th>
                  <th>{text.gives}</th>
                  <th>{text.given2}</th>
                  <th>{text.remark}</th>
                </tr>
              </thead>
              <tbody>
                {round.colonies
                  .filter((c) => c.yard_id === yard)
                  .map((c) => {
                    const amount = amountOf(core, round, c.hive, batch, false)
                    return (
                      <tr key={c.id}>
                        <th>{c.hive.name}</th>
                        <td>
                          {c.hive.boxes
                            .map((b, n) => (
                              <span key={n} className={styles.ticks}>
                                {(
                                  b.seams ?? Array.from({ length: (b.slots?.length ?? 10) + 1 }, () => 0)
                                ).map((s, g) => (
                                  <Fragment key={g}>
                                    <i
                                      data-seen={s >= 1 ? '' : undefined}
                                      data-half={s > 0 && s < 1 ? '' : undefined}
                                    />
                                  </Fragment>
                                ))}
                              </span>
                            ))
                            .reverse()}
                        </td>
                        <td>
                          <b>{plain(amount.figure)}</b> {amount.words}
                        </td>
                        <td />
                        <td className={shared.harm}>
                          {[...(c.stop ?? []).map(stopWords), ...amount.warnings].join(' ')}
                        </td>
                      </tr>
                    )
                  })}
              </tbody>
            </table>
          </section>
        ))}
      </div>
    </main>
  )
}

const MOST_SEAMS = 12

/** What a hive of one box gets for so many full seams, mL. */
const forSeams = (core: Core, round: Schemas['Visit'], from: From, n: number) =>
  amountOf(
    core,
    round,
    { name: String(n), boxes: [{ kind: 'deep', frames: MOST_SEAMS, counted: n }] },
    from,
    false,
  ).figure

/** How much so many seams get, for what is counted out there. */
function DoseTable({ round, core, from }: { round: Schemas['Visit']; core: Core; from: From }) {
  const counts = Array.from({ length: MOST_SEAMS }, (_, i) => i + 1)
  return (
    <table className={styles.sheet} data-dose-table>
      <tbody>
        <tr>
          <th>{text.seams}</th>
          {counts.map((n) => (
            <td key={n}>{n}</td>
          ))}
        </tr>
        <tr>
          <th>{text.ml}</th>
          {counts.map((n) => (
            <td key={n}>
              <b>{plain(forSeams(core, round, from, n))}</b>
            </td>
          ))}
        </tr>
      </tbody>
    </table>
  )
}

interface TypeInProps {
  round: Schemas['Visit']
  jar: Jar
  core: Core
}

/** What the paper says, typed in line by line. */
function TypeIn({ round, jar, core }: TypeInProps) {
  const { batch } = jar
  const outbox = useOutbox(round)
  const typed = useKept<Record<string, string>>(`sheet.${round.job_id}.${round.day}`, () => ({}))
  const entered = useEntered(round)
  const done = new Set(standing(round, outbox.mine).map((r) => r.colony_id))
  const open = round.colonies.filter((c) => !done.has(c.id))
  const read = open.map((c) => ({ c, ...readOne('amount', typed.value[c.id] ?? '') }))
  const ready = read.filter((r) => r.figure !== undefined && !('amount' in r.faults))
  const write = async () => {
    for (const { c, figure } of ready)
      await outbox.add({
        ...enteredFields(entered.value),
        id: crypto.randomUUID(),
        colony_id: c.id,
        yard_id: c.yard_id,
        kind: figure! > 0 ? 'given' : 'skipped',
        amount: figure!,
        asked: amountOf(core, round, c.hive, batch, false).figure,
        ...(figure! > 0 ? (batch ? { batch_id: batch.id, ...jar.said } : {}) : { reason: 'not_given' }),
      })
    const left = Object.entries(typed.value).filter(([id]) => !ready.some(({ c }) => c.id === id))
    typed.set(Object.fromEntries(left))
  }
  return (
    <form className={styles.typing} onSubmit={onSent(() => void write())}>
      <SignalBar outbox={outbox} ready={false} />
      <WhenGiven round={round} entered={entered.value} onEntered={entered.set} always />
      <p className="quiet">{text.typeHint}</p>
      <JarChoice round={round} jar={jar} />
      <table className={styles.sheet}>
        <tbody>
          {read.map(({ c, faults }) => (
            <tr key={c.id}>
              <th>
                {c.yard} {c.hive.name}
              </th>
              <td>
                <input
                  aria-label={c.hive.name}
                  inputMode="decimal"
                  value={typed.value[c.id] ?? ''}
                  onChange={(e) => typed.set({ ...typed.value, [c.id]: e.target.value })}
                  onKeyDown={downThe('[data-sheet] form input')}
                  data-typed={c.hive.name}
                />{' '}
                {faults['amount'] && <b className={shared.harm}>{faults['amount']}</b>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Press submit main big says={text.write} off={ready.length === 0 || jar.unsaid} data-write />
    </form>
  )
}
