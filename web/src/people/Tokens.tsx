import { useQuery } from '@tanstack/react-query'
import { client, data, type Schemas } from '../api/client'
import { ask, date, Form, type Panel, Press, Said, stale, useSaving, useTyped } from '../kit'
import styles from './PeoplePage.module.css'
import { text } from './text'

const MAKE: Panel<keyof Schemas['MakeToken']> = {
  title: '',
  entries: [
    { of: 'name', as: 'words', label: text.tokenFor },
    { of: 'days', as: 'whole', label: text.tokenDays, unit: text.days, first: '90' },
  ],
}

/** Tokens by which a script asks in one's name. */
export function Tokens() {
  const tokens = useQuery(ask(['tokens'], '/api/tokens'))
  const form = useTyped(MAKE)
  const making = useSaving(
    () => data(client.POST('/api/tokens', { body: form.body as Schemas['MakeToken'] })),
    () => {
      form.clear()
      stale('tokens')
    },
  )
  const ending = useSaving(
    async (id: string) => client.DELETE('/api/tokens/{id}', { params: { path: { id } } }),
    () => stale('tokens'),
  )
  return (
    <details data-tokens>
      <summary>{text.tokens}</summary>
      <p className="quiet">{text.tokensWhy}</p>
      {making.out?.token && (
        <>
          <p>{text.tokenOnce}</p>
          <p className={styles.link} data-token>
            {making.out.token}
          </p>
        </>
      )}
      <Form
        className={styles.form}
        form={form}
        saving={making}
        save={text.tokenMake}
        mark="token"
        quiet
        unfinished={!form.typed.name?.trim()}
        onSave={() => making.save(undefined)}
      />
      <Said message={ending.message} />
      <ul className={styles.rows}>
        {tokens.data?.tokens.map((t) => (
          <li key={t.id}>
            <b>{t.name}</b>
            <span className="quiet">{text.until(date(t.expires_at))}</span>
            <Press says={text.uninvite} onPress={() => ending.save(t.id)} />
          </li>
        ))}
      </ul>
    </details>
  )
}
