import terms from '../../../words/names/terms.json'
import styles from './Term.module.css'
import { text } from './text'

export type TermName = keyof typeof terms

/** What a word of the trade means, one tap away from where it is met. */
export function Term({ of }: { of: TermName }) {
  const [name = '', meaning] = terms[of]
  return (
    <details className={`${styles.term} no-print`} data-term={of}>
      <summary>{text.whatIs(name)}</summary>
      <p>{meaning}</p>
    </details>
  )
}
