import { useState, type ReactNode } from 'react'
import { Faults, Field, may, onSent, Press, useStart } from '../kit'
import styles from './Row.module.css'
import { text } from './text'

interface Props {
  mark?: ReactNode
  title: string
  late?: boolean
  where: ReactNode
  why: ReactNode
  /** The button that begins it; none where nothing does. */
  act?: { says: string; to: string; main: boolean } | undefined
  /** Puts it aside with a reason. */
  skip: {
    save: (reason: string) => void
    message: string | undefined
    /** In other words than that it is skipped. */
    says?: Record<'open' | 'ask' | 'yes' | 'hint', string>
  }
  /** What it is, how it stands and where, for whoever looks at the page from outside. */
  is: { kind: string; state: string; yard?: string | undefined }
}

/** One thing to do: what, where, why, and the button that begins it. */
export function Row({ mark, title, late, where, why, act, skip, is }: Props) {
  const helper = may(useStart().me?.role, 'helper')
  const [asking, setAsking] = useState(false)
  const [reason, setReason] = useState('')
  const says = skip.says ?? { open: text.skip, ask: text.skipWhy, yes: text.skipYes, hint: text.skipHint }
  return (
    <li className={styles.task} data-followup={is.kind} data-state={is.state} data-yard={is.yard}>
      <span className={styles.mark}>{mark}</span>
      <div>
        <b className={late ? styles.late : undefined}>{title}</b>
        <p>{where}</p>
        <p className="quiet">{why}</p>
      </div>
      {helper && (
        <div className={styles.acts}>
          {act && <Press big main={act.main} outlined={!act.main} says={act.says} to={act.to} data-do />}
          <Press small says={says.open} onPress={() => setAsking(!asking)} data-skip />
        </div>
      )}
      {asking && (
        <form className={styles.skip} onSubmit={onSent(() => skip.save(reason.trim()))}>
          <Faults value={skip.message ? { reason: skip.message } : {}}>
            <Field text label={says.ask} path="reason" most={300} value={reason} onChange={setReason} focus />
          </Faults>
          <Press submit main says={says.yes} off={reason.trim() === ''} data-skip-yes />
          <p className="quiet">{says.hint}</p>
        </form>
      )}
    </li>
  )
}
