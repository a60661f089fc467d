import type { Schemas } from '../api/client'

type Label = Schemas['Label']

/** Every word on a label, and around it. */
export const text = {
  title: (n: number) => `Label of No. ${n}`,
  back: 'The batch',
  print: 'Print',
  sheet: 'Paper',
  sheets: { small: 'One label a sheet, 100 × 70 mm', a4: 'A4, eight to a sheet' },
  copies: 'Labels',
  copiesHint: 'Each portion has its own; more of them fill the sheet.',
  failed: 'The label could not be read; the server is asked again.',
  loading: 'Reading',

  poison: 'POISON',
  kinds: {
    syrup: 'Oxalic acid in sugar syrup',
    liquor: 'Oxalic acid in glycerol, left over',
    strips: 'Strips with oxalic acid in glycerol',
    formic: 'Formic acid in water',
    product: 'Bought treatment',
  } satisfies Record<Label['kind'], string>,
  uses: {
    syrup: 'Against varroa: to be dribbled on bees without brood. Nothing else.',
    liquor: 'For the next pot of strips. Nothing else.',
    strips: 'Against varroa: to hang in hives. Nothing else.',
    formic: 'Against varroa: to evaporate in hives. Nothing else.',
    product: 'Against varroa: by its own label. Nothing else.',
  } satisfies Record<Label['kind'], string>,
  number: (n: number) => `No. ${n}`,
  planned: 'as planned, not weighed in',
  wv: (oad: string, oaa: string) => `${oad} % w/v as dihydrate = ${oaa} % w/v as anhydrous`,
  ww: (oad: string, oaa: string) => `${oad} % by weight as dihydrate = ${oaa} % as anhydrous`,
  formicWW: (p: string) => `${p} % formic acid by weight`,
  off: (p: string) => `± ${p} %`,
  perPiece: (g: string) => `${g} g dihydrate in each`,
  madeOn: (d: string) => `made ${d}`,
  useBy: (d: string) => `USE BY ${d}`,
  asStock: 'keeps as its stock does',
  keeping: { room: 'at room temperature', fridge: 'in the fridge', sealed: 'sealed', closed: 'closed, cool' },
  amount: (a: string) => a,
  units: { ml: 'mL', g: 'g', pieces: 'pieces' },
  forYard: (yard: string) => `for ${yard}`,
  cold: (c: string) => `Below ${c} crystals fall out: rewarm, stir clear, then use.`,
  firstAid: {
    oxalic:
      'EYES: rinse at once, 15 minutes, call for help. SKIN: clothes off, much water. SWALLOWED: rinse the mouth, do not make sick, poison centre.',
    formic:
      'EYES: rinse at once, 30 minutes, call for help. SKIN: clothes off, much water. BREATHED: fresh air, medical help. SWALLOWED: rinse the mouth, do not make sick, poison centre.',
  },
  locked: 'Locked away from children, food and animals. Vessel never again for food.',
  rule: (r: string) => `Rule: ${r}`,
  marks: { poison: 'Poison', corrosive: 'Burns' } as Record<string, string>,
  qr: 'This batch in Keeler',
}
