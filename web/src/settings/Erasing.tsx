import { useState } from 'react'
import { client, data, type Schemas } from '../api/client'
import { Form, type Panel, may, Press, useSaving, useStart, useTyped } from '../kit'
import page from '../kit/page.module.css'
import { text } from './text'

type Asked = keyof Schemas['Erasure'] | 'keep'

/** What is asked before it is done; a closed operation has nothing but its register to erase. */
const asked = (closed: boolean, withCode: boolean): Panel<Asked> => ({
  title: '',
  entries: [
    {
      of: 'keep',
      aside: true,
      label: text.keep,
      options: text.keepChoices,
      hint: () => text.keepHint,
      when: () => !closed,
    },
    { of: 'keep_until', as: 'day', label: text.keepUntil, when: (t) => !closed && t.keep === 'yes' },
    { of: 'password', as: 'secret', label: text.password, autoComplete: 'current-password' },
    {
      of: 'code',
      as: 'words',
      label: text.code,
      autoComplete: 'one-time-code',
      when: () => withCode,
    },
  ],
})

/** The end of an operation, which an owner asks for in two steps and with his password. */
export function Erasing() {
  const { me, demo } = useStart()
  const [open, setOpen] = useState(false)
  if (!may(me?.role, 'owner')) return null
  return (
    <section className={page.form} data-erasing>
      <h2>{text.erase}</h2>
      <p className="quiet">{demo ? text.eraseDemo : text.eraseHint}</p>
      {!demo && !open && (
        <div className={page.bar}>
          <Press harm says={text.eraseOpen} onPress={() => setOpen(true)} />
        </div>
      )}
      {open && <Asking closed={me?.kept_until !== undefined} onCancel={() => setOpen(false)} />}
    </section>
  )
}

function Asking({ closed, onCancel }: { closed: boolean; onCancel: () => void }) {
  const [withCode, setWithCode] = useState(false)
  const form = useTyped(asked(closed, withCode))
  const erasing = useSaving(
    () => data(client.POST('/api/operation/erase', { body: form.body as Schemas['Erasure'] })),
    () => window.location.assign('/'),
  )
  if (erasing.faults['code'] !== undefined && !withCode) setWithCode(true)
  const keeps = !closed && form.typed.keep === 'yes'
  return (
    <Form
      className={page.form}
      form={form}
      saving={erasing}
      save={keeps ? text.eraseRest : text.eraseAll}
      mark="erase"
      unfinished={!form.typed.password || (keeps && !form.typed.keep_until)}
      onSave={() => erasing.save()}
      onCancel={onCancel}
    />
  )
}
