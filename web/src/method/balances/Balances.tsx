import { BalanceMark } from '../../drawing/BalanceMark'
import { type Edit, Entries, Faults, Press } from '../../kit'
import { BALANCE, face, oneMore, type BalanceAtHand } from './balances'
import styles from './Balances.module.css'
import { text } from './text'

interface Props {
  of: readonly BalanceAtHand[]
  change: Edit<BalanceAtHand[]>
  faults: Readonly<Record<string, string>>
}

const MOST = 8

/** The balances at hand, each by what it reads and carries. */
export function Balances({ of, change, faults }: Props) {
  return (
    <>
      {of.map((b, i) => (
        <div key={i} className={styles.balance}>
          <BalanceMark {...face(b)} />
          <div>
            <Faults value={beneath(faults, `balances[${i}].`)}>
              <Entries of={BALANCE} typed={b} change={(recipe) => change((all) => recipe(all[i]!))} />
            </Faults>
            {of.length > 1 && (
              <Press small says={text.removeBalance} onPress={() => change((all) => void all.splice(i, 1))} />
            )}
          </div>
        </div>
      ))}
      <Press
        says={text.addBalance}
        off={of.length >= MOST}
        onPress={() => change((all) => void all.push(oneMore()))}
      />
    </>
  )
}

/** The faults of one balance, by its own fields. */
const beneath = (faults: Readonly<Record<string, string>>, prefix: string) =>
  Object.fromEntries(
    Object.entries(faults).flatMap(([path, fault]) =>
      path.startsWith(prefix) ? [[path.slice(prefix.length), fault]] : [],
    ),
  )
