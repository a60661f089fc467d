import { useInfiniteQuery } from '@tanstack/react-query'
import { client, data } from '../api/client'
import { moment, Press } from '../kit'
import styles from './PeoplePage.module.css'
import { text } from './text'

/** Who came in, who did not, and who was let do what: for the owner. */
export function Log() {
  const log = useInfiniteQuery({
    queryKey: ['log'],
    queryFn: ({ pageParam }) =>
      data(client.GET('/api/log', { params: { query: pageParam ? { before: pageParam } : {} } })),
    initialPageParam: 0,
    getNextPageParam: (last) => last.more,
    enabled: false,
  })
  return (
    <details data-log onToggle={(e) => e.currentTarget.open && void log.refetch()}>
      <summary>{text.log}</summary>
      <ul className={styles.rows}>
        {log.data?.pages
          .flatMap((p) => p.entries)
          .map((e, i) => (
            <li key={i}>
              <span className="quiet">{moment(e.at)}</span>
              <span>
                <strong>{e.login}</strong> {e.in_words}
              </span>
              <span className="quiet">{e.address}</span>
            </li>
          ))}
      </ul>
      {log.hasNextPage && <Press outlined says={text.more} onPress={() => void log.fetchNextPage()} />}
    </details>
  )
}
