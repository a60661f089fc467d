import type { Schemas } from '../api/client'
import { day, plain, temperature } from '../kit'
import styles from './Log.module.css'
import { text } from './text'
import type { Run } from './useBench'

type Event = Schemas['BenchEvent']

/** All that happened at a bench, with who did it and whether a device was read or a figure typed. */
export function Log({ run }: { run: Run }) {
  const rows = run.events.map((e) => [e, words(e, run)] as const).filter(([, w]) => w !== '')
  if (rows.length === 0) return null
  return (
    <section data-log>
      <h2>{text.log}</h2>
      <ol className={styles.log}>
        {rows.map(([e, w]) => (
          <li key={e.id}>
            {w}{' '}
            <small>
              {[e.source && e.source !== 'typed' && text.read(e.source), e.at && day(e.at), e.by]
                .filter(Boolean)
                .join(' · ')}
            </small>
          </li>
        ))}
      </ol>
    </section>
  )
}

function words(e: Event, run: Run): string {
  const act = run.acts.find((a) => a.id === e.act)
  const what = act?.title ?? e.act ?? ''
  switch (e.kind) {
    case 'added':
      return text.events.added(what, e.count ? text.pieces(e.count) : text.grams(plain(e.grams ?? 0)))
    case 'removed':
      return text.events.removed(what)
    case 'answered':
      return text.events.answered(what, e.answer ?? '')
    case 'measured':
      return text.events.measured(what, temperature(e.temp_c ?? 0))
    case 'started':
      return text.events.started(what)
    case 'corrected':
    case 'finished':
    case 'discarded':
      return text.events[e.kind]
    default:
      return ''
  }
}
