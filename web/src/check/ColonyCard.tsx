import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import { date, told } from '../kit'
import styles from './ColonyCard.module.css'
import { Evaporation } from './Evaporation'
import { Interval } from './Interval'
import outcomes from './Outcome.module.css'
import { percent } from './share'
import { text } from './text'

/** One hive: its share beside the 80 %, the word, and why it may not have worked. */
export function ColonyCard({ colony }: { colony: Schemas['ColonyTold'] }) {
  const { result, why, counts } = colony
  const measured = result && result.measure !== 'after_alone'
  return (
    <section className={styles.colony} data-colony={colony.name} data-outcome={result?.outcome}>
      <header>
        <Link to={`/colonies/${colony.id}`}>
          <b>{colony.name}</b>
        </Link>
        <b className={result && outcomes[result.outcome]}>
          {!result
            ? ''
            : measured && result.outcome !== 'cannot_tell'
              ? `${percent(result.share)} %`
              : result.words}
        </b>
      </header>
      {colony.ended_on && (
        <p className={outcomes['did_not']} data-ended>
          {text.ended(colony.ended_on, colony.end_reason ?? '')}
        </p>
      )}
      {measured && <Interval result={result} />}
      {measured ? (
        <p className="quiet">
          {text.interval(percent(Math.max(0, result.low)), percent(result.high))} ·{' '}
          {text.mites(result.before, result.after)}
        </p>
      ) : (
        <p className="quiet">{result ? result.how : text.uncounted}</p>
      )}
      {colony.evaporation && <Evaporation of={colony.evaporation} />}
      {result?.tell && <p className="quiet">{result.tell}</p>}
      {why && (
        <div className={outcomes['did_not']}>
          <p>
            <b>{text.why}</b>
          </p>
          {why.map((w) => (
            <p key={w}>{told(w)}</p>
          ))}
        </div>
      )}
      {result?.outcome === 'did_not' && !why && <p>{text.whyNone}</p>}
      {counts && counts.length > 0 && (
        <details className="no-print">
          <summary>{text.counts}</summary>
          <ul>
            {counts.map((c, i) => (
              <li key={i}>
                {date(c.on)}: {c.kind === 'board' ? text.board(c.mites, c.over) : text.wash(c.mites, c.over)}
                <small className="quiet"> {c.words}</small>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  )
}
