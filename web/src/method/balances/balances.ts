import type { Schemas } from '../../api/client'
import { adopt, begin, type Panel, read, Reader, type Typed } from '../../kit'
import { text } from './text'

type Key = 'name' | 'balance_g' | 'balance_capacity_g' | 'balance_least_g'
export type BalanceAtHand = Typed<Key>

/** A balance at hand. */
export const BALANCE: Panel<Key> = {
  title: '',
  entries: [
    { of: 'name', as: 'words', label: text.balanceName, most: 40 },
    { of: 'balance_g', label: text.division, unit: 'g', first: '1' },
    { of: 'balance_capacity_g', label: text.capacity, unit: 'g', placeholder: text.notSaid },
    { of: 'balance_least_g', label: text.leastLoad, unit: 'g', placeholder: text.notSaid },
  ],
}

/** What stands on the picture of one. */
export const face = (b: BalanceAtHand) => ({
  reads: b.balance_g ? `${b.balance_g} g` : '–',
  carries: b.balance_capacity_g ? text.carries(b.balance_capacity_g) : '',
})

export const oneMore = (): BalanceAtHand => begin([BALANCE], {})

export const adoptBalances = (balances: readonly Schemas['BenchBalance'][]): BalanceAtHand[] =>
  balances.map((b) => adopt([BALANCE], b, oneMore()))

/** Balances as the server is told of them, and what of them cannot be read. */
export function readBalances(typed: readonly BalanceAtHand[]) {
  const faults: Record<string, string> = {}
  const balances = typed.map((b, i) => {
    const reader = new Reader('metric')
    const out = { balance_g: 0, ...read([BALANCE], b, reader) } as Schemas['BenchBalance']
    for (const [path, fault] of Object.entries(reader.faults)) faults[`balances[${i}].${path}`] = fault
    return out
  })
  return { balances, faults }
}
