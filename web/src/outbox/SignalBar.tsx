import Alert from '@mui/material/Alert'
import { text } from './text'
import styles from './SignalBar.module.css'
import type { Queue } from './useOutbox'

/** Whether all is sent, and whether this phone can go on alone: always in sight. */
export function SignalBar({ outbox, ready }: { outbox: Queue; ready: boolean }) {
  const { signal, count } = outbox
  return (
    <>
      <p className={styles.signal} data-signal={signal} data-waiting={count} aria-live="polite">
        <b>
          {signal === 'offline'
            ? `◌ ${text.bar.offline}`
            : count > 0
              ? `◐ ${text.bar.waiting(count)}`
              : `● ${text.bar.sent}`}
        </b>
        {signal === 'offline' && count > 0 && <span>{text.bar.waiting(count)}</span>}
        {outbox.refused.length > 0 && (
          <b className={styles.harm}>{text.bar.refused(outbox.refused.length)}</b>
        )}
        {ready ? (
          <span data-ready>{text.bar.ready}</span>
        ) : (
          <span className="quiet">{text.bar.notReady}</span>
        )}
      </p>
      {outbox.full && (
        <Alert severity="error" variant="outlined" data-full>
          {text.bar.full}
        </Alert>
      )}
    </>
  )
}
