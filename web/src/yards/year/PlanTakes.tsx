import type { Schemas } from '../../api/client'
import { price, three } from '../../kit'
import styles from './Planning.module.css'
import { text } from './text'

type Take = Schemas['PlanTake']

/** What the stock calls an ingredient, within a sentence. */
export const nameOf = (ingredient: string) => text.ingredients[ingredient as Take['ingredient']].toLowerCase()

const amount = (n: number, unit: Take['unit']) =>
  unit === 'pieces' ? `${Math.ceil(n)}` : `${three(n)} ${text.units[unit]}`

/** Rounded up to the three figures that are shown: with less there is too little. */
function up(n: number) {
  const step = 10 ** (Math.floor(Math.log10(n)) - 2)
  return Math.ceil(n / step - 1e-9) * step
}

/** What a plan takes from the stock, what of it is there, and what is to be bought. */
export const PlanTakes = ({ of }: { of: Schemas['PlanTakes'] }) => (
  <div data-takes>
    <b>
      {text.takes(of.hives)}
      {of.cost ? `: ${price(of.cost)}` : ''}
    </b>
    {of.cost && of.unpriced.length > 0 && <small> {text.without(of.unpriced.map(nameOf).join(', '))}</small>}
    <ul className={styles.takes}>
      {of.of.map((t) => (
        <li key={t.ingredient} data-take={t.ingredient}>
          {text.ingredients[t.ingredient]}, {amount(t.amount, t.unit)}:{' '}
          <b>{t.buy ? text.buy(amount(up(t.buy), t.unit)) : text.there}</b>
        </li>
      ))}
    </ul>
    {of.unknown.length > 0 && (
      <p className={styles.against}>
        {text.unknown(of.unknown.map((m) => text.methods[m as keyof typeof text.methods]).join(', '))}
      </p>
    )}
    {of.unseen.length > 0 && <p className={styles.against}>{text.unseen(of.unseen.join(', '))}</p>}
  </div>
)
