import { useQuery } from '@tanstack/react-query'
import { Link, useParams } from 'react-router'
import { client, data, type Schemas } from '../api/client'
import { ask, Form, type Panel, useSaving, useTyped, Waiting } from '../kit'
import styles from './people.module.css'
import { text } from './text'

const NEW: Panel<'new'> = {
  title: '',
  entries: [
    {
      of: 'new',
      as: 'secret',
      label: text.newPassword,
      autoComplete: 'new-password',
      hint: () => text.passwordHint,
    },
  ],
}

/** Where a link to a new password leads. */
export default function NewPassword() {
  const { token = '' } = useParams()
  const form = useTyped(NEW)
  const linked = useQuery(ask(['password', token], '/api/password/{token}', { path: { token } }))
  const setting = useSaving(() =>
    data(
      client.POST('/api/password/new', {
        body: { token, ...(form.body as Pick<Schemas['NewPassword'], 'new'>) },
      }),
    ),
  )
  if (setting.done)
    return (
      <main className={styles.gate}>
        <h1>{text.passwordSet}</h1>
        <Link to="/yards">{text.signIn}</Link>
      </main>
    )
  if (linked.isError)
    return (
      <main className={styles.gate}>
        <h1>{text.noLink}</h1>
        <p>{text.noLinkWhy}</p>
      </main>
    )
  if (!linked.data) return <Waiting query={linked} />
  return (
    <main className={styles.gate}>
      <h1>{text.passwordFor(linked.data.login)}</h1>
      <p className="quiet">{text.passwordWhy}</p>
      <Form
        className={styles.form}
        form={form}
        saving={setting}
        save={text.setIt}
        mark="new-password"
        unfinished={!form.typed.new}
        onSave={() => setting.save()}
      />
    </main>
  )
}
