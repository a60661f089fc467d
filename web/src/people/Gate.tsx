import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useState, type ReactNode } from 'react'
import { Link } from 'react-router'
import { client, data } from '../api/client'
import { Said } from '../kit/Said'
import { useSaving } from '../kit/useSaving'
import { useEnter, useStart } from '../kit/useStart'
import shared from './people.module.css'
import styles from './Gate.module.css'
import { text } from './text'

/** Shows what belongs to an operation to its members, and to all others the way in. */
export function Gate({ children }: { children: ReactNode }) {
  const start = useStart()
  if (start.me) return children
  return start.unclaimed && !start.demo ? <Claim /> : <SignIn demo={start.demo} />
}

function SignIn({ demo }: { demo: boolean }) {
  const enter = useEnter()
  const [login, setLogin] = useState('')
  const [password, setPassword] = useState('')
  const trying = useSaving(() => data(client.POST('/api/session', { body: { login, password } })), enter)
  const demoEntry = useSaving(() => data(client.POST('/api/demo')), enter)
  return (
    <main className={shared.gate}>
      <h1>{text.signIn}</h1>
      <p className="quiet">{text.why}</p>
      {demo && (
        <div className={shared.form}>
          <Button
            size="large"
            variant="contained"
            disabled={demoEntry.busy}
            onClick={() => demoEntry.save()}
            data-demo
          >
            {text.demo}
          </Button>
          <p className="quiet">{text.demoHint}</p>
          <Said message={demoEntry.message} />
        </div>
      )}
      <form
        className={demo ? `${shared.form} ${styles.demo}` : shared.form}
        onSubmit={(e) => {
          e.preventDefault()
          trying.save()
        }}
      >
        <TextField
          label={text.login}
          value={login}
          autoComplete="username"
          onChange={(e) => setLogin(e.target.value)}
        />
        <TextField
          label={text.password}
          type="password"
          value={password}
          autoComplete="current-password"
          onChange={(e) => setPassword(e.target.value)}
        />
        <Said message={trying.message} />
        <Button
          type="submit"
          size="large"
          variant={demo ? 'outlined' : 'contained'}
          disabled={trying.busy || login.trim() === '' || password === ''}
        >
          {text.in}
        </Button>
      </form>
      <Link to="/">{text.toMix}</Link>
    </main>
  )
}

const here = Intl.DateTimeFormat().resolvedOptions().timeZone
const zones = [...new Set([here, 'UTC', ...Intl.supportedValuesOf('timeZone')])]

function Claim() {
  const enter = useEnter()
  const [form, setForm] = useState({ operation: '', login: '', password: '', time_zone: here })
  const claiming = useSaving(() => data(client.POST('/api/claim', { body: form })), enter)
  return (
    <main className={shared.gate}>
      <h1>{text.claim}</h1>
      <p className="quiet">{text.claimWhy}</p>
      <form
        className={shared.form}
        onSubmit={(e) => {
          e.preventDefault()
          claiming.save()
        }}
      >
        <TextField
          label={text.operation}
          value={form.operation}
          error={'operation' in claiming.faults}
          helperText={claiming.faults['operation'] ?? text.operationHint}
          onChange={(e) => setForm({ ...form, operation: e.target.value })}
        />
        <Credentials
          value={form}
          faults={claiming.faults}
          onChange={(login, password) => setForm({ ...form, login, password })}
        />
        <TextField
          select
          label={text.timeZone}
          value={form.time_zone}
          error={'time_zone' in claiming.faults}
          helperText={claiming.faults['time_zone'] ?? text.timeZoneHint}
          slotProps={{ select: { native: true } }}
          onChange={(e) => setForm({ ...form, time_zone: e.target.value })}
        >
          {zones.map((z) => (
            <option key={z}>{z}</option>
          ))}
        </TextField>
        <Said message={Object.keys(claiming.faults).length > 0 ? undefined : claiming.message} />
        <Button type="submit" size="large" variant="contained" disabled={claiming.busy}>
          {text.begin}
        </Button>
      </form>
      <Link to="/">{text.toMix}</Link>
    </main>
  )
}

interface CredentialsProps {
  value: { login: string; password: string }
  faults: Record<string, string>
  onChange: (login: string, password: string) => void
}

/** A name and a new password. */
export function Credentials({ value: { login, password }, faults, onChange }: CredentialsProps) {
  return (
    <>
      <TextField
        label={text.login}
        value={login}
        autoComplete="username"
        error={'login' in faults}
        helperText={faults['login']}
        onChange={(e) => onChange(e.target.value, password)}
      />
      <TextField
        label={text.password}
        type="password"
        value={password}
        autoComplete="new-password"
        error={'password' in faults}
        helperText={faults['password'] ?? text.passwordHint}
        onChange={(e) => onChange(login, e.target.value)}
      />
    </>
  )
}
