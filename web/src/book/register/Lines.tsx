import { Fragment, useState } from 'react'
import { Link } from 'react-router'
import { METHODS } from '../../method/facts'
import { client, data, type Schemas } from '../../api/client'
import { Mark } from '../../drawing/Mark'
import { clock, day, Form, type Panel, plain, Press, stale, useSaving, useTyped, when } from '../../kit'
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
          {line.withdrawal_days && line.kind !== 'skipped'
            ? ` · ${text.withdrawal(line.withdrawal_days)}`
            : ''}
          {line.override_reason && ` · ${text.override(line.override_reason)}`}
          {line.note && ` · ${line.note}`}
        </small>
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

const AMEND: Panel<'kind' | 'amount' | 'note'> = {
  title: '',
  entries: [
    { of: 'kind', label: '', unseen: true },
    { of: 'amount', label: text.amendAmount, when: when('kind', 'given') },
    { of: 'note', as: 'words', label: text.amendWhy },
  ],
}

function Amend({ line, onDone }: { line: Line; onDone: () => void }) {
  const [id] = useState(() => crypto.randomUUID())
  const given = line.kind === 'given'
  const form = useTyped(AMEND, { amount: given ? String(line.amount ?? 0) : '', kind: line.kind })
  const { amount: figure = 0, note } = form.body as { amount?: number; note: string }
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
    <Form
      className={styles.amend}
      form={form}
      saving={saving}
      save={given ? text.amendYes : text.takeBackYes}
      mark="amend"
      quiet
      unfinished={given && !form.typed.amount?.trim()}
      onSave={() => saving.save()}
      onCancel={onDone}
    />
  )
}
