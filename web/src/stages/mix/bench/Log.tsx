import type { Schemas } from '../../../api/client'
import { day } from '../../../shell/day'
import { plain, temperature, type System } from '../../../units/format'
import { useUnits } from '../../../units/units'
import styles from './bench.module.css'
import { text } from './text'
import type { Run } from './useBench'

type Event = Schemas['BenchEvent']

/** All that happened at a bench, with who did it and whether a device was read or a figure typed. */
export function Log({ run }: { run: Run }) {
  const { system } = useUnits()
  const rows = run.events.map((e) => [e, words(e, run, system)] as const).filter(([, w]) => w !== '')
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

function words(e: Event, run: Run, system: System): string {
  const act = run.acts.find((a) => a.id === e.act)
  const what = act ? text.act(act)[0] : (e.act ?? '')
  switch (e.kind) {
    case 'took':
      return text.events.took(what, e.count ? text.pieces(e.count) : text.grams(plain(e.grams ?? 0)))
    case 'struck':
      return text.events.struck(what)
    case 'said':
      return text.events.said(what, e.answer ?? '')
    case 'heated':
      return text.events.heated(what, temperature(e.temp_c ?? 0, system))
    case 'began':
      return text.events.began(what)
    case 'mended':
    case 'finished':
    case 'discarded':
      return text.events[e.kind]
    default:
      return ''
  }
}
