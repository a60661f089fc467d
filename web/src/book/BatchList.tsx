import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { client } from '../api/client'
import { clock, day } from '../shell/day'
import { three, volume } from '../units/format'
import { useUnits } from '../units/units'
import styles from './book.module.css'
import { text } from './text'

/** The kept batches, the newest first. */
export default function BatchList() {
  const { system } = useUnits()
  const list = useQuery({
    queryKey: ['batches'],
    queryFn: async ({ signal }) => (await client.GET('/api/batches', { signal })).data?.batches ?? [],
    networkMode: 'always',
    retry: true,
    retryDelay: 3000,
  })
  return (
    <main className={styles.page}>
      <h1>{text.title}</h1>
      {list.failureCount > 0 && <p className={styles.harm}>{text.failed}</p>}
      {list.isPending && list.failureCount === 0 && <p>{text.loading}</p>}
      {list.data?.length === 0 && <p>{text.none}</p>}
      <ul className={styles.list}>
        {list.data?.map((b) => {
          const made = volume(b.volume_ml, system)
          return (
            <li key={b.id} className={b.voided_at ? styles.void : undefined}>
              <Link to={`/batches/${b.id}`}>
                <Drop />
                <span className={styles.name}>
                  <span className={b.voided_at ? styles.struck : undefined}>{b.name}</span>
                  {b.voided_at && <span className={styles.tag}>{text.void}</span>}
                  <small>
                    {day(b.made_on)} {clock(b.made_on)} · {text.dribble}
                  </small>
                </span>
                <span className={styles.figure}>
                  {made.value} <small>{made.unit}</small>
                </span>
                <span className={styles.figure}>
                  {three(b.g_per_l)} <small>{text.gPerL}</small>
                </span>
              </Link>
            </li>
          )
        })}
      </ul>
    </main>
  )
}

/** The dribble's mark. */
function Drop() {
  return (
    <svg width="22" height="28" viewBox="0 0 22 28" aria-hidden="true">
      <path fill="var(--drop)" d="M11 1c5 8 9 12 9 17a9 9 0 0 1-18 0c0-5 4-9 9-17z" />
    </svg>
  )
}
