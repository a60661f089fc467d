import { Link, useMatch } from 'react-router'
import { useStart } from '../kit'
import styles from './QueueBar.module.css'
import { text } from './text'
import { useQueue } from './useOutbox'

/** What waits on this phone, on every page: nothing where nothing does. */
export default function QueueBar() {
  const { me } = useStart()
  const { count, refused, others, signal } = useQueue()
  const toldThere = useMatch('/rounds/*') !== null && me !== undefined
  if (toldThere || count + refused.length + others === 0) return null
  if (!me)
    return (
      <p className={`${styles.bar} no-print`} data-queue>
        {text.unsigned(others)}
      </p>
    )
  return (
    <Link
      to="/waiting"
      className={`${styles.bar} no-print`}
      data-queue
      data-waiting={count}
      aria-live="polite"
    >
      {count > 0 && (
        <b>
          ◐ {text.waiting(count)}
          {signal === 'offline' && ` · ${text.offline}`}
        </b>
      )}
      {refused.length > 0 && <b className={styles.harm}>{text.refused(refused.length)}</b>}
      {others > 0 && <span>{text.others(others)}</span>}
      <span className={styles.see}>{text.see}</span>
    </Link>
  )
}
