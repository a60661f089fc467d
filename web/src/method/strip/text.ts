import names from '../../../../words/names/strip.json'

/** Every word of the strips’ Mix screen. */
export const text = {
  ...names,
  recipe: 'Recipe, acid to glycerol',
  protocolNames: names.protocolNames as Record<string, string>,
  ownName: 'own recipe',
  oad: 'Acid, dihydrate',
  ownGlycerol: 'to glycerol',
  per: 'Measure glycerol by',
  glycerol: 'Glycerol strength',
  warmTo: 'Keep pot at',
  warmHint: (at: (celsius: number) => string) =>
    `Usual ${at(70)}; the gentler way stops at ${at(60)}. Never above ${at(77)}.`,

  carrier: 'Carrier',
  count: (n: number, carrier: 'strip' | 'long' | 'sponge') =>
    `${n} ${n === 1 ? text.piece[carrier] : text.pieces[carrier]}`,
  uptakeHint: 'Weigh one dry and one soaked: the difference.',
  between: 'In a double',

  number: 'How many',
  frames: 'Frames of bees per strip',
  most: 'Maximum per box',

  sizedBy: 'Work out from',
  colonies: 'Colonies',
  eachColony: 'Strips in each',
  strips: 'Strips',
  acid: 'Acid you have',
  glycerolHand: 'Glycerol you have',
  times: 'Times the recipe',
  volume: 'Solution',

  carried: 'Left from an earlier pot',
  carriedLeft: (grams: string, past: boolean) => ` · ${grams} g left${past ? ', past its use-by date' : ''}`,
  learnt: (each: string, spread: string, pots: number) =>
    `Your pots: ${each} g${spread && ` ± ${spread}`} (${pots}). Plan with that`,
  carriedNone: 'none',
  carriedFrom: 'From',
  carriedUnsaved: 'a pot not saved here',
  carriedGrams: 'Add to this one',
  carriedOAD: 'Acid in it',
  carriedWater: 'Water in it',
  carriedBrief: (grams: string) => `${grams} g`,

  vessel: 'Tray, jig, pot',
  stays: 'Depth in the tray takes',
  headroom: 'Room above in the pot',
  slots: 'Slots of the jig',
  mostInSlot: 'Most strips in a slot',
  noJig: 'no jig',
  noLimit: 'no limit',

  priceAcid: 'Price of a kg acid',
  priceGlycerol: 'Price of a litre of glycerol',
  priceStrip: 'Price of a dry piece',

  potStrips: (acid: string) => `, ${acid} g acid in each`,
  potLeft: (grams: string) => `${grams} g left for the next pot`,
  potServes: (n: number) => (n === 1 ? 'enough for 1 colony' : `enough for ${n} colonies`),
  potLiquor: 'solution',

  marks: 'Tapping marks',
  rule: {
    bees: (frames: string, most: number) =>
      `1 to ${frames} frames of bees${most > 0 ? `, at most ${most} a box` : ''}`,
    box: (each: number) => `${each} a box`,
    colony: (each: number) => `${each} a colony`,
  },
  countOnly: 'Counted only: to see which gaps they hang in, choose “Hives drawn”.',
  acidIn: (grams: string) => `${grams} g acid`,
  reach: (n: number) => `${n} ${n === 1 ? 'reaches' : 'reach'} in`,
  placeAgain: 'Place them for me',
  short: (wanted: number) => `of ${wanted}`,
  reasons: names.reasons as Record<string, string>,
} as const
