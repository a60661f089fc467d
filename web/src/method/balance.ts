import { type Panel, type Typed } from '../kit'
import { text } from './text'

export type BalanceTyped = Typed<'balance_g' | 'balance_capacity_g'>

/** The balance, which all methods weigh on. */
export const BALANCE: Panel<keyof BalanceTyped> = {
  title: text.bench,
  entries: [
    { of: 'balance_g', label: text.balance, unit: 'g' },
    { of: 'balance_capacity_g', label: text.capacity, unit: 'g', placeholder: text.notSaid },
  ],
}
