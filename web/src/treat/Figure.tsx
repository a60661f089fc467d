import { plain } from '../kit'
import type { Amount } from '../method/amount'
import { text } from './text'
import shared from './treat.module.css'
import styles from './Figure.module.css'

/** What can harm, under the hive's name: seen before the figure is read. */
export function Warnings({ amount }: { amount: Amount }) {
  if (amount.warnings.length === 0) return null
  return (
    <div className={styles.warnings} role="alert" data-warnings>
      {amount.warnings.map((w) => (
        <p key={w}>{w}</p>
      ))}
    </div>
  )
}

/** The dose, at arm's length, and how it is drawn and shared out. */
export function Figure({ amount }: { amount: Amount }) {
  const several = amount.boxes.length > 1
  return (
    <div className={styles.doseRow}>
      <p className={shared.dose}>
        <b data-dose>{plain(amount.figure)}</b> <small>{amount.words}</small>
      </p>
      <div className={styles.how}>
        {amount.draws && <p data-draws>{amount.draws}</p>}
        {several && <p>{text.boxes(amount.boxes.map((b, i) => text.box(i + 1, plain(b))).join(' · '))}</p>}
        {amount.each && <p data-each>{amount.each}</p>}
        {amount.why && <p className={shared.harm}>{amount.why}</p>}
      </div>
    </div>
  )
}
