import { ingredients, units } from '../../../../words/names/kit.json'

/** Every word of a recall. */
export const text = {
  ingredients: ingredients as Record<string, string>,
  units: units as Record<string, string>,
  sum: (doses: number, hives: number, waiting: number) =>
    `${doses === 1 ? '1 dose' : `${doses} doses`} in ${hives === 1 ? '1 hive' : `${hives} hives`}${
      waiting > 0 ? `; ${waiting === 1 ? '1 hive has' : `${waiting} hives have`} not had it yet` : ''
    }.`,
  print: 'Print',
  csv: 'Export CSV',
  lots: 'Lots',
  noLots: 'No lot is recorded for it.',
  lotNo: (no: string) => `lot no. ${no}`,
  batches: 'Batches',
  batch: (n: number, name: string) => `No. ${n} ${name}`,
  batchNo: (n: number) => (n > 0 ? `No. ${n}` : ''),
  left: (amount: string, unit: string) => `${amount} ${unit} left`,
  waiting: 'Planned, and not given yet',
  waitingHint: 'Stop these first.',
  doses: 'Given',
  heads: ['Yard', 'Hive', 'When', 'Amount', 'Batch', 'Lots', 'By'],
}
