import { useQuery } from '@tanstack/react-query'
import { client } from '../api/client'
import { ask, moment, Press, Said, stale, useSaving, Waiting } from '../kit'
import styles from './PeoplePage.module.css'
import { text } from './text'

/** Where one is signed in, each to be ended. */
export function Sessions() {
  const sessions = useQuery(ask(['sessions'], '/api/sessions'))
  const ending = useSaving(
    async (id: string) => client.DELETE('/api/sessions/{id}', { params: { path: { id } } }),
    () => stale('sessions'),
  )
  if (!sessions.data) return <Waiting query={sessions} />
  return (
    <>
      <h3>{text.signedInOn}</h3>
      <Said message={ending.message} />
      <ul className={styles.rows}>
        {sessions.data.sessions.map((s) => (
          <li key={s.id} data-session={s.here ? 'here' : 'elsewhere'}>
            <b>
              {s.device} {s.here && <small className="quiet">({text.here})</small>}
            </b>
            <span className="quiet">{text.lastUsed(moment(s.seen_at))}</span>
            {!s.here && <Press says={text.signOutThere} onPress={() => ending.save(s.id)} />}
          </li>
        ))}
      </ul>
    </>
  )
}
