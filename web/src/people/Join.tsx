import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { Waiting } from '../kit/Waiting'
import { client, data } from '../api/client'
import { Said } from '../kit/Said'
import { useSaving } from '../kit/useSaving'
import { useEnter } from '../kit/useStart'
import { Credentials } from './Gate'
import styles from './people.module.css'
import { text } from './text'

/** Where an invitation's link leads. */
export default function Join() {
  const { token = '' } = useParams()
  const navigate = useNavigate()
  const enter = useEnter()
  const [form, setForm] = useState({ login: '', password: '' })
  const invited = useQuery({
    queryKey: ['join', token],
    queryFn: ({ signal }) => data(client.GET('/api/join/{token}', { params: { path: { token } }, signal })),
  })
  const joining = useSaving(
    () => data(client.POST('/api/join', { body: { token, ...form } })),
    (start) => {
      enter(start)
      void navigate('/yards')
    },
  )
  if (invited.isError) return <main className={styles.gate}>{text.noInvitation}</main>
  if (!invited.data) return <Waiting query={invited} />
  return (
    <main className={styles.gate}>
      <h1>{text.join(invited.data.operation, text.roles[invited.data.role])}</h1>
      <p className="quiet">{text.joinWhy}</p>
      <form
        className={styles.form}
        onSubmit={(e) => {
          e.preventDefault()
          joining.save()
        }}
      >
        <Credentials
          value={form}
          faults={joining.faults}
          onChange={(login, password) => setForm({ login, password })}
        />
        <Said message={Object.keys(joining.faults).length > 0 ? undefined : joining.message} />
        <Button type="submit" size="large" variant="contained" disabled={joining.busy}>
          {text.joinIt}
        </Button>
      </form>
    </main>
  )
}
