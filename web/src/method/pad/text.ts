import names from '../../../../words/names/pad.json'

/** Every word of the pads’ Mix screen. */
export const text = {
  ...names,
  hold: 'What you hold',
  strengthBy: 'Its strength',
  percent: 'On the label, by weight',
  density: 'Density read',
  temp: 'At',
  off: 'Reading ±',
  tempOff: 'Temperature ±',
  read: (percent: string, off: string) => `reads ${percent} ± ${off} %`,
  inHand: 'In hand',

  cardName: 'Name',
  cardFormic: 'Acid in one pad',
  cardEach: 'Pads together',
  cardPer: 'For',
  cardNuc: 'For a nuc',
  notSaid: 'not said',
  cardCount: 'Pads in hand',

  working: 'Used at',
  workingPercent: 'Strength, by weight',

  amount: 'How much, how often',
  protocolNames: names.protocolNames as Record<string, string>,
  rule: (ml: string, at: string, per: string, from: string) => `${ml} mL of ${at} % a ${per}, from ${from}`,
  ruleOfDay: (one: string, more: string, days: number) =>
    `${one} g a day on one box, ${more} on more, for ${days} days`,
  per: 'Goes by',
  ml: 'For each',
  at: 'Meant in',
  asUsed: 'as used',
  from: 'From',
  nuc: 'Every nuc',
  byCombs: 'by combs',
  cap: 'A colony, at most',
  noCap: 'no cap',
  visits: 'Visits',
  apart: 'Days apart',
  once: 'once',

  sizedBy: 'Let down for',
  workingML: 'Ready to use',
  stockML: 'Stock',
  waterG: 'Water',
  reserve: 'Reserve',

  hives: 'Hives',
  colonies: 'Colonies',
  combs: 'Combs in each',
  boxes: 'Boxes of each',

  sheet: 'Sheet or sponge',
  takes: 'One takes up',
  width: 'Wide',
  length: 'Long',
  bottle: 'Stock is sold in',
  priceStock: 'Price of a litre stock',
  pricePad: 'Price of a pad',

  acidPure: 'pure acid in it',
  bottleVisit: 'one visit to all',
  bottleCourse: (visits: number, days: number) =>
    visits === 1 ? 'one visit' : `${visits} visits over ${days} days`,
  buy: (bottles: number, size: string) =>
    bottles === 1 ? `1 bottle of ${size} for all of it` : `${bottles} bottles of ${size} for all of it`,
  pads: (n: number) => `${n} ${n === 1 ? 'pad' : 'pads'}`,
  padsAll: (n: number) => `${n} for all visits`,
  rungs: names.rungs as Record<string, string>,

  hint: 'Combs count, not bees: take supers off first, and set frames and feeder by ⋯',
  countOnly: 'Only a count: no boards needed. Choose “Drawn” to see what goes on each hive.',
  mL: (ml: string) => `${ml} mL`,
  stockIn: (grams: string) => `${grams} g stock`,
  grams: (grams: string) => `${grams} g`,
  acidIn: (grams: string) => `${grams} g acid`,
  combsOf: (n: number) => `${n} ${n === 1 ? 'comb' : 'combs'}`,
  sheets: (n: number, area: string) => `${n === 1 ? '1 sheet' : `${n} sheets`}, or ${area} cm²`,
  asked: (ml: string) => `${ml} asked`,
} as const
