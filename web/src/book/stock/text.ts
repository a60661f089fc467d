/** Every word of the stock. */
export const text = {
  title: 'Stock',
  intro:
    'What is mixed from, as it was bought: with the supplier’s number, its expiry and price. The bench takes from it.',
  none: 'Nothing in stock yet.',
  failed: 'Stock could not be read; the server is asked again.',
  back: 'All batches',
  toStock: 'Stock',
  ingredients: {
    acid: 'Oxalic acid',
    sugar: 'Sugar',
    glycerol: 'Glycerol',
    formic: 'Formic acid',
    tablets: 'Tablets',
    ready_mix: 'Ready-mix',
    carrier: 'Strips, sponges',
    product: 'Ready to use',
    ready_pads: 'Ready pads',
  },
  units: { ml: 'mL', g: 'g', pieces: 'pieces' },
  unitOf: { tablets: 'pieces', carrier: 'pieces', ready_pads: 'pieces', product: 'mL' } as Record<
    string,
    string
  >,
  supplier: (no: string) => `supplier’s no. ${no}`,
  reconcile: 'to reconcile',
  add: 'Add to stock',
  addTitle: 'New in stock',
  what: 'What',
  name: 'Called',
  supplierNo: 'Supplier’s number',
  expires: 'Expires',
  expiresHint: 'as 2028-06-30; empty when it does not say',
  amount: 'How much',
  price: 'Price of a kilogram, litre or piece',
  account: 'Its account',
}
