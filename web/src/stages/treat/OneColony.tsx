import Button from '@mui/material/Button'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import type { Core } from '../../core/core'
import { text as docketText } from '../../docket/text'
import { Board } from '../../drawing/Board'
import { plain, seams as fraction } from '../../units/format'
import { adoptColonies } from '../mix/hives/request'
import { amountOf, type Amount, type Hive } from './amounts'
import { Extras } from './Extras'
import { OtherOutcome } from './OtherOutcome'
import type { Application } from './outbox'
import { TakeOut } from './TakeOut'
import { text } from './text'
import styles from './treat.module.css'
import type { Outbox } from './useOutbox'

interface Props {
  round: Schemas['RoundDay']
  core: Core
  colony: Schemas['RoundColony']
  hive: Hive
  batch: Schemas['RoundBatch'] | undefined
  fromAbove: boolean
  onFromAbove: (above: boolean) => void
  records: Application[]
  outbox: Outbox
  place: [number, number]
  opened: () => number
  onHive: (hive: Hive) => void
  onBack: (() => void) | undefined
  onNext: () => void
}

/** The colony that is open: its seams from above, the one figure that counts, and the button that takes it. */
export function OneColony(props: Props) {
  const { round, core, colony, hive, batch, fromAbove, records, outbox, place, opened } = props
  const [other, setOther] = useState(false)
  const [extras, setExtras] = useState<string[]>([])
  const amount = amountOf(core, round, hive, batch?.g_per_l, fromAbove)
  const takesOut = (colony.in_hive ?? 0) > 0 && round.method !== 'dribble'
  // The next hive is there at once, whatever the phone's store takes: who taps on is not
  // brought back.
  const write = (what: Partial<Application>) => {
    void outbox.add({
      id: crypto.randomUUID(),
      colony_id: colony.id,
      yard_id: colony.yard_id,
      kind: 'given',
      asked: amount.figure,
      seams: hive.boxes.map((b) => b.seams ?? []),
      extras,
      open_s: opened(),
      ...(batch && what.kind !== 'skipped' && what.kind !== 'out' ? { batch_id: batch.id } : {}),
      ...what,
    })
    setOther(false)
    props.onNext()
  }
  const done = records.length > 0
  const joint = round.method === 'dribble' && hive.boxes.filter((b) => b.seams?.some((s) => s > 0)).length > 1
  return (
    <section className={styles.colony} data-colony-open={hive.name}>
      <header>
        <h1>{hive.name}</h1>
        <span>
          {colony.yard} · {text.position(...place)}
        </span>
      </header>
      {done ? (
        <Done {...props} />
      ) : (
        <>
          <Boards hive={hive} amount={amount} onHive={props.onHive} />
          {joint && (
            <p className={styles.joint}>
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
          {!takesOut && <Figure amount={amount} />}
          {colony.override_reason && <p className="quiet">{colony.override_reason}</p>}
          {takesOut ? (
            <TakeOut colony={colony} onOut={(out) => write({ kind: 'out', ...out })} />
          ) : other ? (
            <OtherOutcome
              amount={amount}
              choices={round.all}
              onWrite={(o) => write(o)}
              onCancel={() => setOther(false)}
            />
          ) : (
            <div className={styles.takes}>
              <Button size="large" variant="outlined" onClick={() => setOther(true)} data-other>
                {text.other}
              </Button>
              <Button
                size="large"
                variant="contained"
                disabled={amount.figure <= 0}
                onClick={() => write({ amount: amount.figure, boxes: amount.boxes })}
                data-given
              >
                {round.method === 'strip' ? text.placed : text.given}
              </Button>
            </div>
          )}
          <Extras round={round} ticked={extras} onTick={setExtras} />
        </>
      )}
      <nav className={styles.way}>
        <Button disabled={!props.onBack} onClick={props.onBack}>
          {text.last}
        </Button>
        <ul className={styles.wear} aria-label={text.wear}>
          {round.gear.map((g) => (
            <li key={g}>{docketText.gear[g] ?? g}</li>
          ))}
        </ul>
        <Button onClick={props.onNext} data-next>
          {text.next}
        </Button>
      </nav>
    </section>
  )
}

/** What was done here, and how it is put right. */
function Done({ records, outbox, round }: Props) {
  const takeBack = (r: Application) => {
    if (outbox.mine.some((w) => w.id === r.id)) void outbox.remove(r.id)
    else
      void outbox.add(
        { id: crypto.randomUUID(), colony_id: r.colony_id, kind: 'skipped', reason: 'taken_back' },
        r.id,
      )
  }
  return records.map((r) => (
    <div key={r.id} className={styles.done} data-done={r.kind}>
      <p className={styles.figure}>
        {r.kind === 'given' ? plain(r.amount ?? 0) : '–'}{' '}
        <small>
          {r.kind === 'given'
            ? r.unit === 'pieces' || round.method === 'strip'
              ? text.pieces(round.method, r.amount ?? 0)
              : text.ml
            : r.kind === 'out'
              ? text.tookOut(r.came ?? 0, r.missing ?? 0)
              : text.skipped}
        </small>
      </p>
      <p>
        {text.doneAt(text.reasons[r.reason ?? ''] ?? '', r.by ?? '')}
        {r.flags?.map((f) => (
          <b key={f} className={styles.flag} data-flag={f}>
            {text.flags[f] ?? f}
          </b>
        ))}
        {(r.extras ?? []).map((e) => (
          <span key={e} className={styles.extra}>
            {text.extras[e] ?? e}
          </span>
        ))}
      </p>
      <Button size="large" variant="outlined" onClick={() => takeBack(r)} data-undo>
        {text.undo}
      </Button>
    </div>
  ))
}

/** The hive from above, the top box first; a tap steps a gap. */
function Boards({ hive, amount, onHive }: { hive: Hive; amount: Amount; onHive: (h: Hive) => void }) {
  const [colony] = adoptColonies([hive])
  if (!colony) return null
  return colony.boxes
    .map((box, i) => {
      const gaps = amount.board(box, i)
      return (
        <div key={i} className={styles.board}>
          {colony.boxes.length > 1 && (
            <span>{text.box(i + 1, amount.boxes[i] === undefined ? '' : plain(amount.boxes[i]))}</span>
          )}
          <Board
            name={hive.name}
            depth={box.depth}
            slots={box.slots}
            gaps={gaps}
            touch={{
              sets: 'seam',
              on: (gap, seam) =>
                onHive({
                  ...hive,
                  boxes: hive.boxes.map((b, k) =>
                    k === i
                      ? { ...b, counted: undefined, seams: gaps.map((g, n) => (n === gap ? seam : g.seam)) }
                      : b,
                  ),
                }),
            }}
          />
        </div>
      )
    })
    .reverse()
}

/** The dose, at arm's length. */
function Figure({ amount }: { amount: Amount }) {
  const total = amount.boxes.length > 1
  return (
    <div className={styles.doseRow}>
      <p className={styles.dose}>
        <b data-dose>{plain(amount.figure)}</b> <small>{amount.words}</small>
      </p>
      <div className={styles.how}>
        {amount.draws && <p data-draws>{amount.draws}</p>}
        {total && <p>{text.boxes(amount.boxes.map((b, i) => text.box(i + 1, plain(b))).join(' · '))}</p>}
        {amount.why && <p className={styles.harm}>{amount.why}</p>}
      </div>
    </div>
  )
}

export const seamsOf = (hive: Hive) =>
  fraction(hive.boxes.reduce((sum, b) => sum + (b.seams ?? []).reduce((s, x) => s + x, 0), 0))
