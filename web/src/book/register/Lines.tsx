import { Fragment, useState } from 'react'
import { Link } from 'react-router'
import { METHODS } from '../../method/facts'
import { client, data, type Schemas } from '../../api/client'
import { Mark } from '../../drawing/Mark'
import { clock, day, Faults, Field, plain, Press, Reader, Said, stale, useSaving } from '../../kit'
import styles from './Lines.module.css'
import { text } from './text'

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
  const [open, setOpen] = useState(false)
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
          {line.batch_number ? (
            <>
              {' · '}
              <Link to={`/batches/${line.batch_id}`}>{text.batch(line.batch_number)}</Link>
            </>
          ) : null}
          {line.product && ` · ${line.product}`}
          {line.lots && line.lots.length > 0 && ` · ${text.lots(line.lots.join(', '))}`}
          {line.rule_worked_under && ` · ${line.rule_worked_under}`}
          {line.withdrawal_days ? ` · ${text.withdrawal(line.withdrawal_days)}` : ''}
          {line.override_reason && ` · ${text.override(line.override_reason)}`}
          {line.note && ` · ${line.note}`}
        </small>
      </div>
      <div className={styles.figure}>
        {line.kind === 'given' || (line.kind === 'other' && line.amount) ? (
          <>
            {plain(line.amount ?? 0)} <small>{text.units[line.unit ?? ''] ?? ''}</small>
          </>
        ) : (
          <small>
            {line.kind === 'out' && (line.came || line.missing)
              ? text.tookOut(line.came ?? 0, line.missing ?? 0)
              : text.kinds[line.kind]}
          </small>
        )}
        <small>{acids.join(' · ')}</small>
        <small>
          {line.reason_in_words} {line.amends && text.amended}
          {line.flags_in_words?.map((f) => (
            <b key={f} className={styles.flag}>
              {f}
            </b>
          ))}
        </small>
      </div>
      {amends && line.kind !== 'skipped' && (
        <Press
          small
          says={line.kind === 'given' ? text.amend : text.takeBack}
          className="no-print"
          onPress={() => setOpen(!open)}
          data-amend
        />
      )}
      {open && <Amend line={line} onDone={() => setOpen(false)} />}
    </li>
  )
}

function Amend({ line, onDone }: { line: Line; onDone: () => void }) {
  const [id] = useState(() => crypto.randomUUID())
  const [amount, setAmount] = useState(String(line.amount ?? 0))
  const [note, setNote] = useState('')
  const given = line.kind === 'given'
  const reader = new Reader('metric')
  const figure = given ? reader.needed('amount', amount) : 0
  const saving = useSaving(
    () =>
      data(
        client.POST('/api/register/{id}/amend', {
          params: { path: { id: line.id } },
          body: {
            id,
            colony_id: line.colony_id,
            note,
            ...(figure > 0
              ? { kind: 'given', amount: figure, batch_id: line.batch_id, asked: line.asked }
              : { kind: 'skipped', reason: 'taken_back' }),
          },
        }),
      ),
    () => {
      stale('register')
      onDone()
    },
  )
  return (
    <form
      className={styles.amend}
      onSubmit={(e) => {
        e.preventDefault()
        saving.save(undefined)
      }}
    >
      <Faults value={{ ...saving.faults, ...reader.faults }}>
        {given && <Field label={text.amendAmount} path="amount" value={amount} onChange={setAmount} />}
        <Field text label={text.amendWhy} path="note" value={note} onChange={setNote} />
        <Said message={saving.message} />
        <Press
          submit
          outlined
          says={given ? text.amendYes : text.takeBackYes}
          off={saving.busy || !reader.readable}
          data-amend-yes
        />
        <Press says={text.cancel} onPress={onDone} />
      </Faults>
    </form>
  )
}
