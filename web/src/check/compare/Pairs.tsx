import type { Schemas } from '../../api/client'
import { percent } from '../share'
import page from '../../kit/page.module.css'
import { label, told } from './group'
import styles from './Pairs.module.css'
import { text } from './text'

/** Each group against each: how far apart, and whether chance could do it. */
export function Pairs({ compare }: { compare: Schemas['Compare'] }) {
  const { pairs, groups, comparison } = compare
  const shown = groups.filter(told).length
  if (shown < 2) return null
  return (
    <section className={page.panel} data-pairs>
      <h2>{text.apart}</h2>
      {pairs.length === 0 ? (
        <p className="quiet">{text.tooMany}</p>
      ) : (
        <>
          <ul className={styles.pairs}>
            {pairs.map((p) => (
              <Pair key={`${p.first} ${p.second}`} pair={p} groups={groups} />
            ))}
          </ul>
          <p className="quiet">{text.apartNote(pairs.length)}</p>
        </>
      )}
      {!comparison?.deal && <p>{text.notDealt}</p>}
    </section>
  )
}

function Pair({ pair, groups }: { pair: Schemas['ComparePair']; groups: Schemas['CompareGroup'][] }) {
  const turned = pair.share < 0
  const name = (i: number) => label(groups[i]!)
  const [better, worse] = turned
    ? [name(pair.second), name(pair.first)]
    : [name(pair.first), name(pair.second)]
  const [low, high] = turned ? [-pair.high, -pair.low] : [pair.low, pair.high]
  const word = pair.small ? text.small : pair.beyond ? text.beyond : text.chance
  return (
    <li data-pair={`${better} ${worse}`} data-beyond={pair.beyond ?? false}>
      <span>
        <b>{text.more(better, worse, percent(Math.abs(pair.share)))}</b>
        <small className="quiet">
          {!pair.small && `${text.range(percent(low), percent(high))} · `}
          {word}
        </small>
      </span>
      {!pair.small && <Apart low={low} share={Math.abs(pair.share)} high={high} beyond={pair.beyond} />}
    </li>
  )
}

const HALF = 150

/** How far apart two groups are, around none. */
function Apart({
  low,
  share,
  high,
  beyond = false,
}: {
  low: number
  share: number
  high: number
  beyond?: boolean | undefined
}) {
  const x = (d: number) => HALF * Math.max(-1, Math.min(1, d))
  return (
    <svg viewBox={`${-HALF - 4} 0 ${2 * HALF + 8} 26`} className={styles.apart} aria-hidden>
      <path className={styles.ground} d={`M${-HALF} 13H${HALF}`} />
      <rect
        x={x(low)}
        width={Math.max(3, x(high) - x(low))}
        y="9"
        height="8"
        rx="4"
        className={beyond ? styles.beyond : styles.chance}
      />
      <path className={styles.none} d="M0 3V23" />
      <circle cx={x(share)} cy="13" r="4.5" />
    </svg>
  )
}
