import { Fragment, useState } from 'react'
import { Link } from 'react-router'
import { METHODS } from '../../method/facts'
import type { Schemas } from '../../api/client'
import { Mark } from '../../drawing/Mark'
import { clock, day, daysBetween, plain, Press } from '../../kit'
import { Correct } from './Correct'
import styles from './Lines.module.css'
import { text } from './text'
import { Undo } from './Undo'

type Line = Schemas['Application']

const groupOf = (l: Line, group: string) =>
  group === 'colony'
    ? `${l.yard ?? ''} ${l.colony ?? ''}`
    : group === 'yard'
      ? (l.yard ?? '')
      : group === 'batch'
        ? text.batch(l.batch_number ?? 0)
        : ''

/** Lines of the register, under the heads that they are ordered by. */
export function Lines({ lines, group, amends }: { lines: Line[]; group: string; amends: boolean }) {
  return (
    <ol className={styles.lines}>
      {lines.map((l, i) => {
        const head = groupOf(l, group)
        return (
          <Fragment key={l.id}>
            {head && head !== (i > 0 ? groupOf(lines[i - 1]!, group) : '') && <h2>{head}</h2>}
            <One line={l} amends={amends} />
          </Fragment>
        )
      })}
    </ol>
  )
}

function One({ line, amends }: { line: Line; amends: boolean }) {
  const [open, setOpen] = useState<'undo' | 'correct'>()
  const toggle = (what: 'undo' | 'correct') => setOpen(open === what ? undefined : what)
  const method = METHODS.find((m) => m === line.method)
  const acids = [
    line.oad_mg ? text.oad(plain(Math.round(line.oad_mg))) : '',
    line.formic_mg ? text.formic(plain(Math.round(line.formic_mg))) : '',
  ].filter(Boolean)
  const at = line.given_at ?? ''
  return (
    <li className={styles.line} data-line-of={line.colony} data-kind={line.kind}>
      {method ? <Mark method={method} /> : <span />}
      <div>
        <b>
          <Link to={`/colonies/${line.colony_id}`}>{line.colony}</Link>
        </b>{' '}
        {line.yard}
        <small>
          {day(at)} {line.job_id && clock(at)} · {line.by}
          {recorded(line)}
          {line.batch_number ? (
            <>
              {' · '}
              <Link to={`/batches/${line.batch_id}`}>{text.batch(line.batch_number)}</Link>
            </>
          ) : null}
          {line.product && ` · ${line.product}`}
          {line.lots && line.lots.length > 0 && ` · ${text.lots(line.lots.join(', '))}`}
          {line.rule_worked_under && ` · ${line.rule_worked_under}`}
          {line.kind === 'given' || line.kind === 'other'
            ? ` · ${text.withdrawal(line.withdrawal_days)}`
            : ''}
          {line.override_reason && ` · ${text.override(line.override_reason)}`}
          {line.note && ` · ${line.note}`}
        </small>
        {line.changes?.map((c) => (
          <small key={c.at} data-change>
            {text.changed(day(c.at), c.by, c.what.join(', '), c.why ?? '')}
          </small>
        ))}
      </div>
      <div className={styles.figure}>
        {line.kind === 'given' || line.kind === 'weighed' || (line.kind === 'other' && line.amount) ? (
          <>
            {plain(line.amount ?? 0)} <small>{text.units[line.unit ?? ''] ?? ''}</small>
          </>
        ) : (
          <small>
            {line.kind === 'out' && (line.came || line.missing)
              ? text.tookOut(line.came ?? 0, line.missing ?? 0)
              : [text.kinds[line.kind], text.eggs[`${line.eggs}`]].filter(Boolean).join(': ')}
          </small>
        )}
        <small>{acids.join(' · ')}</small>
        <small>
          {line.reason_in_words}
          {line.flags_in_words?.map((f) => (
            <b key={f} className={styles.flag}>
              {f}
            </b>
          ))}
        </small>
      </div>
      {amends && line.kind !== 'skipped' && (
        <span className="no-print">
          <Press small says={text.correct} onPress={() => toggle('correct')} data-correct />
          <Press small says={text.takeBack} onPress={() => toggle('undo')} data-amend />
        </span>
      )}
      {open === 'undo' && <Undo line={line} onDone={() => setOpen(undefined)} />}
      {open === 'correct' && <Correct line={line} onDone={() => setOpen(undefined)} />}
    </li>
  )
}

/** When and by whom it was written, where that was not as it was done. */
function recorded(line: Line) {
  const late = daysBetween(line.given_at ?? '', line.recorded_at ?? '') > 1
  if (line.entered !== 'import' && line.entered !== 'afterwards' && !late) return null
  const how = line.entered ? text.entered[line.entered] : text.recorded
  return ` · ${how(day(line.recorded_at ?? ''), line.recorded_by ?? '', line.entered_from ?? '')}`
}
