import { useQuery } from '@tanstack/react-query'
import { useNavigate, useParams } from 'react-router'
import { ask, enter, Form, type Panel, useSaving, useTyped, Waiting } from '../kit'
import { client, data, type Schemas } from '../api/client'
import { CREDENTIALS } from './credentials'
import styles from './people.module.css'
import { text } from './text'

const JOIN: Panel<'login' | 'password'> = { title: '', entries: CREDENTIALS }

/** Where an invitation's link leads. */
export default function Join() {
  const { token = '' } = useParams()
  const navigate = useNavigate()
  const form = useTyped(JOIN)
  const invited = useQuery(ask(['join', token], '/api/join/{token}', { path: { token } }))
  const joining = useSaving(
    () =>
      data(client.POST('/api/join', { body: { token, ...(form.body as Omit<Schemas['Join'], 'token'>) } })),
    (start) => {
      enter(start)
      void navigate('/')
    },
  )
  if (invited.isError)
    return (
      <main className={styles.gate}>
        <h1>{text.noInvitation}</h1>
        <p>{text.noInvitationWhy}</p>
      </main>
    )
  if (!invited.data) return <Waiting query={invited} />
  return (
    <main className={styles.gate}>
      <h1>{text.join(invited.data.operation, text.roles[invited.data.role])}</h1>
      <p className="quiet">{text.joinWhy}</p>
      <Form
        className={styles.form}
        form={form}
        saving={joining}
        save={text.joinIt}
        mark="join"
        onSave={() => joining.save()}
      />
    </main>
  )
}
