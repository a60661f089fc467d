import Alert from '@mui/material/Alert'
import { text } from './text'
import shared from './treat.module.css'
import styles from './SignalBar.module.css'
import type { Outbox } from '../outbox/useOutbox'

/** Whether all is sent, and whether this phone can go on alone: always in sight. */
export function SignalBar({ outbox, ready }: { outbox: Outbox; ready: boolean }) {
  const { signal, count } = outbox
  return (
    <>
      <p className={styles.signal} data-signal={signal} data-waiting={count} aria-live="polite">
        <b>
          {signal === 'offline'
            ? `◌ ${text.offline}`
            : count > 0
              ? `◐ ${text.waiting(count)}`
              : `● ${text.sent}`}
        </b>
        {signal === 'offline' && count > 0 && <span>{text.waiting(count)}</span>}
        {outbox.refused.length > 0 && <b className={shared.harm}>{text.refused(outbox.refused.length)}</b>}
        {ready && <span data-ready>{text.ready}</span>}
      </p>
      {outbox.full && (
        <Alert severity="error" variant="outlined" data-full>
          {text.full}
        </Alert>
      )}
    </>
  )
}
