import { units } from '../../../words/names/kit.json'
import names from '../../../words/names/label.json'

/** Every word on a label, and around it. */
export const text = {
  ...names,
  units,
  title: (n: number) => `Label of No. ${n}`,
  back: 'The batch',
  print: 'Print',
  sheet: 'Paper',
  copies: 'Labels',
  copiesHint: 'Each portion has its own; more of them fill the sheet.',
  failed: 'The label could not be read; the server is asked again.',
  loading: 'Reading',

  poison: 'POISON',
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
  amount: (a: string) => a,
  forYard: (yard: string) => `for ${yard}`,
  cold: (c: string) => `Below ${c} crystals fall out: rewarm, stir clear, then use.`,
  locked: 'Locked away from children, food and animals. Vessel never again for food.',
  rule: (r: string) => `Rule: ${r}`,
  marks: names.marks as Record<string, string>,
  qr: 'This batch in Keeler',
}
