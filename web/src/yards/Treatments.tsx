import { useState } from 'react'
import { client, type Schemas } from '../api/client'
import { Mark } from '../drawing/Mark'
import { date, Form, type Panel, Press, Said, useSaving, useStart, useTyped } from '../kit'
import { text } from './text'
import { changed } from './changed'
import page from '../kit/page.module.css'
import styles from './yards.module.css'

/** What was given to these bees, whatever hive they were in then. */
export function Treatments({ colony, helper }: { colony: Schemas['ColonyWhole']; helper: boolean }) {
  const out = useSaving(
    async ({ treatment, sure }: { treatment: string; sure: boolean }) =>
      client.POST('/api/colonies/{id}/treatments/{treatment}/out', {
        params: { path: { id: colony.id, treatment } },
        body: { sure },
      }),
    changed,
  )
  const [id, setId] = useState(() => crypto.randomUUID() as string)
  const board = useSaving(
    async () =>
      client.POST('/api/colonies/{id}/board', { params: { path: { id: colony.id } }, body: { id } }),
    () => {
      setId(crypto.randomUUID())
      changed()
    },
  )
  return (
    <>
      {colony.treatments.length === 0 && <p className="quiet">{text.noTreatments}</p>}
      <Said message={out.message} />
      {out.codes['on'] === 'early' && out.tried && (
        <Press
          harm
          outlined
          says={text.earlyYes}
          onPress={() => out.tried && out.save({ ...out.tried, sure: true })}
          data-early
        />
      )}
      <ul className={styles.entries}>
        {colony.treatments.map((t) => (
          <li key={t.id}>
            <span>{date(t.given_on)}</span>
            {t.method !== 'other' && t.method !== 'vapour' && <Mark method={t.method} />}
            <b>{text.methods[t.method]}</b>
            {t.what}
            {t.out_on === undefined && (
              <>
                <i>{text.stillIn}</i>
                {t.overdue_days ? (
                  <b className={page.harm}>{text.overdue(t.overdue_days)}</b>
                ) : (
                  t.due_from && (
                    <small className="quiet">{text.dueOut(date(t.due_from), date(t.due_by ?? ''))}</small>
                  )
                )}
                {helper && (
                  <Press
                    small
                    says={text.takeOut}
                    onPress={() => out.save({ treatment: t.id, sure: false })}
                    data-take-out
                  />
                )}
              </>
            )}
            {t.twice_a_day && <b className={page.harm}>{text.twiceADay}</b>}
            {t.carried && <small className="quiet">{text.carried}</small>}
          </li>
        ))}
      </ul>
      {colony.treatments.length > 0 && (
        <p>
          <Press small says={text.recall} to={`/recall?colony=${colony.id}`} data-to-recall />
        </p>
      )}
      {helper && (
        <p>
          {colony.board_on && `${text.boardSince(date(colony.board_on))} `}
          <Press
            small
            says={text.boardToday}
            off={board.busy}
            onPress={() => board.save(undefined)}
            data-put-board
          />
        </p>
      )}
      <Said message={board.message} />
      {helper && <Record colony={colony.id} done={changed} />}
    </>
  )
}

const RECORD: Panel<'method' | 'what' | 'given_on'> = {
  title: '',
  entries: [
    { of: 'method', label: text.treatments, options: text.methods, list: true },
    { of: 'what', as: 'words', label: text.recordWhat },
    { of: 'given_on', as: 'day', label: text.recordOn },
  ],
}

function Record({ colony, done }: { colony: string; done: () => void }) {
  const given_on = useStart().now.slice(0, 10)
  const form = useTyped(RECORD, { given_on })
  const [id, setId] = useState(() => crypto.randomUUID() as string)
  const saving = useSaving(
    async (body: Schemas['Treatment']) =>
      client.POST('/api/colonies/{id}/treatments', { params: { path: { id: colony } }, body }),
    () => {
      form.clear()
      setId(crypto.randomUUID())
      done()
    },
  )
  return (
    <details>
      <summary>{text.record}</summary>
      <Form
        form={form}
        saving={saving}
        save={text.recordIt}
        mark="treatment"
        quiet
        onSave={() => saving.save({ ...(form.body as Schemas['Treatment']), id })}
      />
    </details>
  )
}
