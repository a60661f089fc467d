import { useQuery } from '@tanstack/react-query'
import {
  ask,
  Asking,
  date,
  Form,
  may,
  OnceLink,
  type Panel,
  Pick,
  Press,
  queries,
  type Role,
  Said,
  useSaving,
  useStart,
  useTyped,
  Waiting,
} from '../kit'
import { client, data, type Schemas } from '../api/client'
import { Log } from './Log'
import styles from './PeoplePage.module.css'
import { SecondFactor } from './SecondFactor'
import { Sessions } from './Sessions'
import { text } from './text'
import { Tokens } from './Tokens'
import { useSignOut } from './useSignOut'

const ROLES: Role[] = ['owner', 'keeper', 'helper', 'viewer']

const INVITE: Panel<keyof Schemas['Invite']> = {
  title: '',
  entries: [
    { of: 'note', as: 'words', label: text.inviteFor },
    {
      of: 'role',
      label: text.inviteRole,
      options: Object.fromEntries(ROLES.map((r) => [r, `${text.roles[r]}: ${text.rolesMay[r]}`])),
      list: true,
    },
  ],
}

const PASSWORD: Panel<keyof Schemas['ChangePassword']> = {
  title: '',
  entries: [
    { of: 'old', as: 'secret', label: text.oldPassword, autoComplete: 'current-password' },
    { of: 'new', as: 'secret', label: text.newPassword, autoComplete: 'new-password' },
  ],
}

/** Who belongs to the operation, who may join it, and one's own account. */
export default function PeoplePage() {
  const people = useQuery(ask(['people'], '/api/people'))
  const owner = may(useStart().me?.role, 'owner')
  if (!people.data) return <Waiting query={people} />
  return (
    <main className={styles.page}>
      <section>
        <h1>{text.ofOperation(people.data.operation)}</h1>
        <Members people={people.data} owner={owner} />
      </section>
      {owner && <Invite open={people.data.invitations} />}
      <Account />
      {owner && <Log />}
    </main>
  )
}

function Members({ people, owner }: { people: Schemas['People']; owner: boolean }) {
  const setting = useSaving(
    (to: { id: number; role: Schemas['SetRole']['role'] }) =>
      data(
        client.POST('/api/people/{id}/role', {
          params: { path: { id: to.id } },
          body: { role: to.role },
        }),
      ),
    (all) => queries.setQueryData(['people'], all),
  )
  const linking = useSaving((to: Schemas['Person']) =>
    data(client.POST('/api/people/{id}/password', { params: { path: { id: to.id } } })),
  )
  return (
    <>
      <Said message={setting.stale ? text.lastOwner : (setting.message ?? linking.message)} />
      {linking.out && (
        <OnceLink
          key={linking.out.token}
          path={`/password/${linking.out.token}`}
          says={text.linkFor(linking.tried?.login ?? '')}
        />
      )}
      <ul className={styles.rows}>
        {people.members.map((m) => (
          <li key={m.id} data-member={m.login}>
            <b>
              {m.login} {m.me && <small className="quiet">({text.you})</small>}
            </b>
            {owner ? (
              <Pick
                label={m.login}
                value={m.role}
                options={text.roles}
                onChange={(role) => setting.save({ id: m.id, role: role as Role })}
              />
            ) : (
              <span>{text.roles[m.role]}</span>
            )}
            <span className="quiet">{text.rolesMay[m.role]}</span>
            {owner && !m.me && (
              <Asking
                action={text.letSet}
                hint={text.letSetAsk}
                yes={text.letSetIt}
                onYes={() => linking.save(m)}
              />
            )}
            {owner && !m.me && (
              <Asking
                harm
                action={text.takeOut}
                hint={text.takeOutAsk}
                yes={text.takeOut}
                onYes={() => setting.save({ id: m.id, role: 'out' })}
              />
            )}
          </li>
        ))}
      </ul>
    </>
  )
}

function Invite({ open }: { open: Schemas['Invitation'][] }) {
  const form = useTyped(INVITE, { role: 'helper' })
  const again = () => queries.invalidateQueries({ queryKey: ['people'] })
  const inviting = useSaving(
    () => data(client.POST('/api/invitations', { body: form.body as Schemas['Invite'] })),
    () => void again(),
  )
  const back = useSaving(
    async (id: string) => client.DELETE('/api/invitations/{id}', { params: { path: { id } } }),
    () => void again(),
  )
  return (
    <section>
      <h2>{text.invite}</h2>
      <Form
        className={styles.form}
        form={form}
        saving={inviting}
        save={text.inviteIt}
        mark="invite"
        onSave={() => inviting.save()}
      />
      <Said message={back.message} />
      {inviting.out && (
        <OnceLink key={inviting.out.id} path={`/join/${inviting.out.token}`} says={text.linkOnce} />
      )}
      {open.length > 0 && (
        <>
          <h2 style={{ marginTop: 18 }}>{text.open}</h2>
          <ul className={styles.rows}>
            {open.map((i) => (
              <li key={i.id}>
                <b>{i.note ?? text.roles[i.role]}</b>
                <span>{text.roles[i.role]}</span>
                <span className="quiet">{text.until(date(i.expires_at))}</span>
                <Press says={text.uninvite} onPress={() => back.save(i.id)} />
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}

function Account() {
  const start = useStart()
  const form = useTyped(PASSWORD)
  const changing = useSaving(
    async () => client.POST('/api/password', { body: form.body as Schemas['ChangePassword'] }),
    form.clear,
  )
  const { waiting, leaving, everywhere } = useSignOut()
  return (
    <section>
      <h2>
        {text.ownAccount}: {start.me?.login}
      </h2>
      <Form
        className={styles.form}
        form={form}
        saving={changing}
        save={text.change}
        mark="password"
        quiet
        unfinished={!form.typed.new}
        onSave={() => changing.save()}
      />
      {changing.done && <p>{text.changed}</p>}
      <Sessions />
      <SecondFactor />
      <Tokens />
      <Said message={leaving.message ?? everywhere.message} />
      <p className={styles.inline} style={{ marginTop: 16 }}>
        {waiting > 0 ? (
          <Asking
            action={text.signOut}
            hint={text.waitsHere(waiting)}
            yes={text.signOutAnyway}
            onYes={() => leaving.save()}
          />
        ) : (
          <Press outlined says={text.signOut} onPress={() => leaving.save()} data-sign-out />
        )}
        <Press says={text.everywhere} onPress={() => everywhere.save()} />
        <span className="quiet">{text.everywhereHint}</span>
      </p>
    </section>
  )
}
