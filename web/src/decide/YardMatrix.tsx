import { memo, useState } from 'react'
import { Link } from 'react-router'
import { type Method, METHODS } from '../method/facts'
import type { Schemas } from '../api/client'
import { Mark } from '../drawing/Mark'
import { MiteGauge } from '../drawing/MiteGauge'
import { Press, told } from '../kit'
import { Verdict } from '../drawing/Verdict'
import { holds, shown, whyNone, type Narrowed } from './narrow'
import styles from './YardMatrix.module.css'
import { text } from './text'
import { Windows } from './Windows'

type Yard = Schemas['DecideYard']
type Row = Schemas['DecideColony']
type Reason = Schemas['Reason']

interface Props {
  yard: Yard
  reasons: readonly Reason[]
  method: Method
  day: string
  today: string
  /** The cell whose reasons are open, as colony and method. */
  open: string | undefined
  /** The ids of those ticked here, by spaces: a text stays the same while they do. */
  ticked: string
  by: Narrowed
  folded: boolean
  fold: (yard: string) => void
  toggle: (cell: string) => void
  choose: (method: Method) => void
  tick: (ids: readonly string[], on: boolean) => void
  pickDay: (day: string) => void
}

/** One yard: its hives by the methods, and the windows of the coming days beneath. */
export const YardMatrix = memo(function YardMatrix({
  yard,
  reasons,
  method,
  day,
  today,
  open,
  ticked,
  by,
  folded,
  fold,
  toggle,
  choose,
  tick,
  pickDay,
}: Props) {
  const at = METHODS.indexOf(method)
  const rows = yard.colonies.filter((c) => shown(c, at, reasons, by))
  const fitting = rows.filter((c) => holds(c, at, reasons).fits)
  const some = ticked !== ''
  // Why none fits is told once it was asked for, of the day and method that it was asked of.
  const asking = `${method} ${day}`
  const [asked, setAsked] = useState('')
  return (
    <section className={styles.yard} data-decide-yard={yard.name}>
      <div className={styles.yardHead} data-stops>
        <button
          type="button"
          className={styles.fold}
          tabIndex={-1}
          aria-expanded={!folded}
          aria-label={text.fold(yard.name)}
          onClick={() => fold(yard.id)}
          data-fold
        >
          {folded ? '▸' : '▾'}
        </button>
        <h2>
          <Link to={`/yards/${yard.id}`} tabIndex={-1}>
            {yard.name}
          </Link>
        </h2>
        <span className="quiet">{text.ofHives(rows.length, yard.colonies.length)}</span>
        {yard.over > 0 && <span className={styles.alarm}>{text.over(yard.over)}</span>}
        <span className={styles.tickAll}>
          <Press
            small
            says={some ? text.untick : text.tickAll}
            tabIndex={-1}
            onPress={() => {
              if (some) tick(ticked.split(' '), false)
              else if (fitting.length === 0) setAsked(asking)
              else
                tick(
                  fitting.map((c) => c.id),
                  true,
                )
            }}
            data-tick-all
          />
        </span>
      </div>
      {asked === asking && fitting.length === 0 && !some && (
        <p className={styles.none} role="status" data-why-none>
          {text.noneFits(
            text.methods[method].toLowerCase(),
            whyNone(rows.length > 0 ? rows : yard.colonies, at, reasons).map(([why, n]) =>
              text.ofThem(told(why), n),
            ),
          )}
        </p>
      )}
      {!folded && (
        <>
          <table className={styles.matrix} role="grid" aria-label={yard.name}>
            <thead>
              <tr data-stops>
                <th>{text.head.hive}</th>
                <th>{text.head.mites}</th>
                {METHODS.map((m) => (
                  <th key={m}>
                    <button
                      type="button"
                      tabIndex={-1}
                      aria-pressed={m === method}
                      aria-label={text.chooseMethod(text.methods[m])}
                      onClick={() => m !== method && choose(m)}
                      data-method={m}
                    >
                      <Mark method={m} />
                      {text.methods[m]}
                    </button>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((c) => (
                <ColonyRow
                  key={c.id}
                  row={c}
                  reasons={reasons}
                  at={at}
                  open={open?.startsWith(c.id) ? METHODS.indexOf(open.slice(c.id.length + 1) as Method) : -1}
                  ticked={ticked.includes(c.id)}
                  toggle={toggle}
                  tick={tick}
                />
              ))}
            </tbody>
          </table>
          {yard.forecast && (
            <Windows
              title={text.windows(text.methods[method].toLowerCase())}
              outlook={yard.outlooks[at]!}
              day={day}
              today={today}
              pick={pickDay}
            />
          )}
        </>
      )}
    </section>
  )
})

interface RowProps {
  row: Row
  reasons: readonly Reason[]
  /** The method chosen. */
  at: number
  /** The method whose reasons are open, or -1. */
  open: number
  ticked: boolean
  toggle: (cell: string) => void
  tick: (ids: readonly string[], on: boolean) => void
}

const ColonyRow = memo(function ColonyRow({ row, reasons, at, open, ticked, toggle, tick }: RowProps) {
  return (
    <>
      <tr data-row={row.name} data-stops>
        <td>
          <label className={styles.hive}>
            <input
              type="checkbox"
              tabIndex={-1}
              checked={ticked}
              onChange={(e) => tick([row.id], e.target.checked)}
            />
            <span>
              <b>{row.name}</b>
              {row.seams !== undefined && <small>{text.seams(row.seams)}</small>}
            </span>
          </label>
        </td>
        <td className={styles.mites}>
          <MiteGauge standing={row.count} />
          <div className={styles.need} data-need={row.need}>
            {text.need[row.need]}
            {row.need === 'treat' && row.count?.straddles && <small>{text.need.again}</small>}
            {row.count_helps && <small data-count-helps>{text.need.helps}</small>}
          </div>
        </td>
        {row.cells.map((cell, i) => (
          <td key={i} className={i === at ? styles.chosen : undefined}>
            <button
              type="button"
              tabIndex={-1}
              className={styles.cell}
              aria-expanded={open === i}
              data-cell={METHODS[i]}
              onClick={() => toggle(`${row.id}.${METHODS[i] ?? ''}`)}
            >
              <Verdict is={cell.verdict} />
              <span>
                {text.verdicts[cell.verdict]}
                <Brief reason={reasons[cell.reasons[0]!]} />
                {cell.meets !== undefined && cell.meets < 0.95 && (
                  <small data-meets>{text.meets(Math.round(100 * cell.meets))}</small>
                )}
              </span>
            </button>
          </td>
        ))}
      </tr>
      {open >= 0 && (
        <tr className={styles.reasons}>
          <td colSpan={5}>
            <ul data-reasons>
              {row.cells[open]!.reasons.map((i) => (
                <ReasonLine key={i} reason={reasons[i]!} />
              ))}
              {row.cells[open]!.meets_in_words && <li data-reach>{row.cells[open]!.meets_in_words}</li>}
            </ul>
          </td>
        </tr>
      )}
    </>
  )
})

/** The weightiest reason in a word or two, where one speaks against. */
function Brief({ reason }: { reason: Reason | undefined }) {
  return reason?.brief ? <small>{reason.brief}</small> : null
}

function ReasonLine({ reason }: { reason: Reason }) {
  const { why, change, datum } = reason
  return (
    <li>
      <Verdict is={reason.verdict} />
      <span>
        {told(why)} {datum && <small>({datum})</small>}
        {change && reason.verdict !== 'fits' && (
          <>
            <br />
            <b>{told(change)}</b>
          </>
        )}
      </span>
    </li>
  )
}
