import type { UseQueryResult } from '@tanstack/react-query'
import { Problem } from '../api/client'
import styles from './Waiting.module.css'
import { text } from './text'

type Asked = Pick<UseQueryResult, 'error' | 'failureCount'>

/** In place of what a query has not brought yet: that it is on its way, or why it is not. */
export function Waiting({ query }: { query: Asked }) {
  return (
    <p className={styles.note} role="status">
      {wordsOf(query)}
    </p>
  )
}

function wordsOf({ error, failureCount }: Asked) {
  if (error instanceof Problem)
    return error.status === 404 || error.status === 422 ? text.notHere : error.message
  return failureCount > 0 ? text.unread : text.loading
}
