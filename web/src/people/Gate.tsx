import { useState, type ReactNode } from 'react'
import { Link, useLocation, useNavigate } from 'react-router'
import { client, data, type Schemas } from '../api/client'
import { enter, Form, type Panel, Press, Said, useSaving, useStart, useTyped } from '../kit'
import { CREDENTIALS } from './credentials'
import shared from './people.module.css'
import styles from './Gate.module.css'
import { text } from './text'

/**
 * Shows what belongs to an operation to its members, and to all others the way in. Who was
 * signed out while he typed finds it again, out of sight until then.
 */
export function Gate({ children }: { children: ReactNode }) {
  const start = useStart()
  const [who, setWho] = useState(start.me?.who)
  if (start.me && start.me.who !== who) setWho(start.me.who)
  return (
    <>
      {who !== undefined && (
        <div key={who} hidden={!start.me}>
          {children}
        </div>
      )}
      {!start.me && (start.unclaimed && !start.demo ? <Claim /> : <SignIn demo={start.demo} />)}
    </>
  )
}

const SIGN_IN: Panel<keyof Schemas['SignIn']> = {
  title: '',
  entries: [
    { of: 'login', as: 'words', label: text.login, autoComplete: 'username' },
    { of: 'password', as: 'secret', label: text.password, autoComplete: 'current-password' },
  ],
}

/** The same for who has a second factor: it is asked for once the password was right. */
const WITH_CODE: typeof SIGN_IN = {
  title: '',
  entries: [
    ...SIGN_IN.entries,
    { of: 'code', as: 'words', label: text.second, autoComplete: 'one-time-code' },
  ],
}

/** Who signs in from a page that anybody may open goes on where he was. */
function useReturn() {
  const navigate = useNavigate()
  const state = useLocation().state as { back?: string } | null
  return (start: Schemas['Start']) => {
    enter(start)
    if (state?.back) void navigate(state.back, { replace: true })
  }
}

function SignIn({ demo }: { demo: boolean }) {
  const entered = useReturn()
  const [withCode, setWithCode] = useState(false)
  const form = useTyped(withCode ? WITH_CODE : SIGN_IN)
  const trying = useSaving(
    () => data(client.POST('/api/session', { body: form.body as Schemas['SignIn'] })),
    entered,
  )
  if (trying.faults['code'] !== undefined && !withCode) setWithCode(true)
  const demoEntry = useSaving(
    (as: 'keeper' | 'helper') => data(client.POST('/api/demo', { params: { query: { as } } })),
    entered,
  )
  return (
    <main className={shared.gate}>
      <h1>{text.signIn}</h1>
      <p className="quiet">{text.why}</p>
      {demo && (
        <div className={shared.form}>
          <Press
            big
            main
            says={text.demo}
            off={demoEntry.busy}
            onPress={() => demoEntry.save('keeper')}
            data-demo
          />
          <Press
            big
            outlined
            says={text.demoHelper}
            off={demoEntry.busy}
            onPress={() => demoEntry.save('helper')}
            data-demo-helper
          />
          <p className="quiet">{text.demoHint}</p>
          <Said message={demoEntry.message} />
        </div>
      )}
      <Form
        className={demo ? `${shared.form} ${styles.demo}` : shared.form}
        form={form}
        saving={trying}
        save={text.in}
        mark="session"
        quiet={demo}
        unfinished={!form.typed.login?.trim() || !form.typed.password}
        onSave={() => trying.save()}
      />
      <Link to="/mix">{text.toMix}</Link>
    </main>
  )
}

const here = Intl.DateTimeFormat().resolvedOptions().timeZone
const zones = [...new Set([here, 'UTC', ...Intl.supportedValuesOf('timeZone')])]

const CLAIM: Panel<keyof Schemas['Claim']> = {
  title: '',
  entries: [
    { of: 'code', as: 'words', label: text.code, hint: () => text.codeHint },
    { of: 'operation', as: 'words', label: text.operation, hint: () => text.operationHint },
    ...CREDENTIALS,
    {
      of: 'time_zone',
      label: text.timeZone,
      options: Object.fromEntries(zones.map((z) => [z, z])),
      list: true,
      hint: () => text.timeZoneHint,
    },
  ],
}

function Claim() {
  const form = useTyped(CLAIM)
  const claiming = useSaving(
    () => data(client.POST('/api/claim', { body: form.body as Schemas['Claim'] })),
    enter,
  )
  return (
    <main className={shared.gate}>
      <h1>{text.claim}</h1>
      <p className="quiet">{text.claimWhy}</p>
      <Form
        className={shared.form}
        form={form}
        saving={claiming}
        save={text.begin}
        mark="claim"
        onSave={() => claiming.save()}
      />
      <Link to="/mix">{text.toMix}</Link>
    </main>
  )
}
