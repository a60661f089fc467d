import { ingredients, units } from '../../../../words/names/kit.json'
import names from '../../../../words/names/stock.json'
/** Every word of the stock. */
export const text = {
  ...names,
  ingredients,
  units,
  spent: 'Out of hives, to be disposed of',
  spentLeft: (n: number) => (n < 0 ? 'more disposed of than came out' : n === 1 ? '1 piece' : `${n} pieces`),
  title: 'Stock',
  intro:
    'What is mixed from, as it was bought: with the supplier’s number, its expiry and price. The bench takes from it.',
  none: 'Nothing in stock yet.',
  failed: 'Stock could not be read; the server is asked again.',
  back: 'All batches',
  toStock: 'Stock',
  unitOf: names.unitOf as Record<string, string>,
  supplier: (no: string) => `supplier’s no. ${no}`,
  reconcile: 'to reconcile',
  add: 'Add to stock',
  addTitle: 'New in stock',
  what: 'What',
  name: 'Called',
  supplierNo: 'Supplier’s number',
  expires: 'Expires',
  expiresHint: 'empty when it does not say',
  amount: 'How much',
  price: 'Price of a kilogram, litre or piece',
  account: 'Its account',
}
