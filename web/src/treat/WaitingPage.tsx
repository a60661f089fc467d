import { Link } from 'react-router'
import { date, Press } from '../kit'
import type { Waiting } from '../outbox/outbox'
import { text } from '../outbox/text'
import { useQueue } from '../outbox/useOutbox'
import { roundOf } from './acts'
import { wordsOf } from './text'
import shared from './treat.module.css'
import styles from './WaitingPage.module.css'

/** What was done and has not been sent yet, with what became of each try. */
export default function WaitingPage() {
  const { own, others, remove } = useQueue()
  return (
    <main data-gloves className={shared.page}>
      <h1>{text.title}</h1>
      <p className="quiet">{text.intro}</p>
      {own.length === 0 && <p>{text.none}</p>}
      <ul className={styles.lines}>
        {own.map((w) => (
          <li key={w.id} data-waits={w.name}>
            <b>{w.name}</b>
            <span>
              {date(w.day)} ·{' '}
              {w.application && w.method ? wordsOf(w.method, w.application) : text.mites(w.count?.mites ?? 0)}
            </span>
            {w.refused === undefined ? (
              <span className="quiet">{text.unsent}</span>
            ) : (
              <span>
                <strong className={shared.harm}>{w.refused}</strong>{' '}
                <Press small says={text.drop} onPress={() => void remove(w.id)} />
              </span>
            )}
            {w.application && <Link to={roundOf(w.job, w.day, w.application.kind)}>{text.toRound}</Link>}
          </li>
        ))}
      </ul>
      {own.length > 0 && (
        <p>
          <Press outlined says={text.save} onPress={() => save(own)} data-save-waiting />{' '}
          <span className="quiet">{text.saveWhy}</span>
        </p>
      )}
      {others > 0 && <p>{text.othersWhy(others)}</p>}
    </main>
  )
}

/** docs/formats/waiting.md */
function save(lines: readonly Waiting[]) {
  const file = { format: 'keeler-waiting', version: 1, saved_at: new Date().toISOString(), lines }
  const url = URL.createObjectURL(new Blob([JSON.stringify(file, null, 2)], { type: 'application/json' }))
  const link = Object.assign(document.createElement('a'), { href: url, download: 'keeler-waiting.json' })
  link.click()
  URL.revokeObjectURL(url)
}
