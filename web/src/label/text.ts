import { units } from '../../../words/names/kit.json'
import names from '../../../words/names/label.json'

/** Every word on a label, and around it. */
export const text = {
  ...names,
  units,
  title: (n: number) => `Label of No. ${n}`,
  back: 'Batch',
  print: 'Print',
  sheet: 'Paper',
  copies: 'Labels',
  copiesHint: 'One for each bottle; print more to fill the sheet.',
  failed: 'Keeler cannot reach its server. Trying again.',
  loading: 'Reading',

  poison: 'POISON',
  number: (n: number) => `No. ${n}`,
  planned: 'as planned, not as weighed',
  wv: (oad: string, oaa: string) => `${oad} % w/v as dihydrate = ${oaa} % w/v as anhydrous`,
  ww: (oad: string, oaa: string) => `${oad} % by weight as dihydrate = ${oaa} % as anhydrous`,
  formicWW: (p: string) => `${p} % formic acid by weight`,
  off: (p: string) => `± ${p} %`,
  perPiece: (g: string) => `${g} g dihydrate in each`,
  madeOn: (d: string) => `made ${d}`,
  useBy: (d: string) => `USE BY ${d}`,
  asStock: 'keeps as long as the acid it came from',
  amount: (a: string) => a,
  forYard: (yard: string) => `for ${yard}`,
  cold: (c: string) => `Crystals form below ${c}: rewarm and stir until clear before use.`,
  locked: 'Keep locked away from children, food and animals. Never use this vessel for food again.',
  rule: (r: string) => `Rule: ${r}`,
  marks: names.marks as Record<string, string>,
  qr: 'This batch in Keeler',
}
