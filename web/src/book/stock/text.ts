import { ingredients, units } from '../../../../words/names/kit.json'
import names from '../../../../words/names/stock.json'
/** Every word of the stock. */
export const text = {
  ...names,
  ingredients,
  units,
  spent: 'Taken out of hives, to dispose of',
  spentLeft: (n: number) => (n < 0 ? 'more disposed of than came out' : n === 1 ? '1 piece' : `${n} pieces`),
  title: 'Stock',
  intro:
    'What you mix from, as you bought it: with its lot number, expiry and price. The bench takes from it.',
  none: 'Nothing in stock yet.',
  failed: 'Keeler cannot reach its server. Trying again.',
  back: 'All batches',
  toStock: 'Stock',
  unitOf: names.unitOf as Record<string, string>,
  supplier: (no: string) => `lot no. ${no}`,
  thousands: { g: 'kg', ml: 'L' },
  boughtOf: (amount: string, unit: string) => `of ${amount} ${unit}`,
  forHives: (n: number) => `syrup for ${n} full-strength ${n === 1 ? 'colony' : 'colonies'}`,
  forStrips: (n: number) => `enough for ${n} ${n === 1 ? 'strip' : 'strips'}`,
  reconcile: 'to reconcile',
  add: 'Add to stock',
  addTitle: 'Add to stock',
  what: 'What',
  name: 'Name',
  supplierNo: 'Lot number on it',
  expires: 'Expires',
  expiresHint: 'leave empty if it does not say',
  amount: 'How much',
  price: 'Price per kg, litre or piece',
  account: 'Ledger',
}
