import { BalanceMark } from '../../drawing/BalanceMark'
import styles from '../vessels/Picks.module.css'
import { face, type BalanceAtHand } from './balances'
import { text } from './text'

interface Props {
  of: readonly BalanceAtHand[]
  /** Those that are not at hand now, by their places. */
  off: readonly number[]
  onChange: (off: number[]) => void
}

/** The balances of the operation by their pictures: those that stand on the bench now. */
export function BalancePick({ of, off, onChange }: Props) {
  const last = of.length - off.length === 1
  return (
    <div className={styles.picks} role="group" aria-label={text.atHand}>
      {of.map((b, i) => {
        const on = !off.includes(i)
        return (
          <button
            key={i}
            type="button"
            className={styles.pick}
            aria-pressed={on}
            disabled={on && last}
            onClick={() => onChange(on ? [...off, i] : off.filter((k) => k !== i))}
            data-balance={b.name}
          >
            <BalanceMark {...face(b)} />
            {b.name}
          </button>
        )
      })}
    </div>
  )
}
