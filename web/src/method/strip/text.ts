/** Every word of the strips’ Mix screen. */
export const text = {
  recipe: 'Recipe, acid to glycerol',
  recipes: [
    ['two-to-three', 'Two to three'],
    ['one-to-one', 'One to one'],
    ['own', 'My own'],
  ] as const,
  protocolNames: {
    'two-to-three': 'two to three',
    'one-to-one': 'one to one',
  } as Record<string, string>,
  ownName: 'own recipe',
  oad: 'Acid, dihydrate',
  ownGlycerol: 'to glycerol',
  per: 'Glycerol by',
  pers: [
    ['ml', 'Volume'],
    ['g', 'Weight'],
  ] as const,
  glycerol: 'Glycerol bought at',
  warmTo: 'Pot kept at',
  warmHint: (at: (celsius: number) => string) =>
    `Usual ${at(70)}; the gentler way stops at ${at(60)}. Never above ${at(77)}.`,

  carrier: 'Soaked into',
  carriers: [
    ['strip', 'Strip'],
    ['long', 'Long strip'],
    ['sponge', 'Sponge'],
  ] as const,
  piece: { strip: 'strip', long: 'strip', sponge: 'sponge' },
  pieces: { strip: 'strips', long: 'strips', sponge: 'sponges' },
  count: (n: number, carrier: 'strip' | 'long' | 'sponge') =>
    `${n} ${n === 1 ? text.piece[carrier] : text.pieces[carrier]}`,
  uptake: { strip: 'A strip takes up', long: 'One takes up', sponge: 'One takes up' },
  uptakeHint: 'Weigh one dry and one soaked: the difference.',
  between: 'In a double',
  betweens: [
    ['each', 'On each box'],
    ['between', 'Between boxes'],
  ] as const,

  number: 'How many',
  numbers: [
    ['usual', 'As usual'],
    ['bees', 'By bees'],
    ['box', 'A box'],
    ['colony', 'A colony'],
  ] as const,
  frames: 'One for frames of bees',
  most: 'In a box at most',
  each: { box: 'In each box', colony: 'In each colony' },

  sizedBy: 'Sized by',
  sizes: [
    ['colonies', 'Hives drawn'],
    ['count', 'Hives counted'],
    ['strips', 'Strips'],
    ['volume', 'Liquor in the pot'],
    ['acid', 'All my acid'],
    ['glycerol', 'All my glycerol'],
    ['times', 'Recipe × n'],
  ] as const,
  colonies: 'Colonies',
  eachColony: 'Strips in each',
  strips: 'Strips',
  acid: 'Acid in hand',
  glycerolHand: 'Glycerol in hand',
  times: 'Times the recipe',
  volume: 'Liquor',

  carried: 'Left from an earlier pot',
  carriedLeft: (grams: string, past: boolean) => ` · ${grams} g left${past ? ', past its day' : ''}`,
  learnt: (each: string, spread: string, pots: number) =>
    `Your pots: ${each} g${spread && ` ± ${spread}`} (${pots}). Plan with that`,
  carriedNone: 'none',
  carriedFrom: 'From',
  carriedUnsaved: 'a pot not saved here',
  carriedGrams: 'Goes into this one',
  carriedOAD: 'Acid in it',
  carriedWater: 'Water in it',
  carriedBrief: (grams: string) => `${grams} g`,

  vessel: 'Tray, jig, pot',
  stays: 'Must stand in the tray',
  headroom: 'Room above in the pot',
  slots: 'Slots of the jig',
  mostInSlot: 'Strips in a slot at most',
  noJig: 'no jig',
  noLimit: 'no limit',

  priceAcid: 'Price of a kg acid',
  priceGlycerol: 'Price of a litre glycerol',
  priceStrip: 'Price of a dry piece',

  potStrips: (acid: string) => `, ${acid} g acid in each`,
  potLeft: (grams: string) => `${grams} g left for the next pot`,
  potServes: (n: number) => (n === 1 ? 'does 1 colony' : `does ${n} colonies`),
  potLiquor: 'liquor',

  marks: 'A tap marks',
  marksOf: {
    seam: 'Tap a gap for its bees: none, ¼, ½, ¾, full',
    strip: 'Tap a gap to hang a strip there or take it away',
    brood: 'Tap a comb with sealed brood: strips then go beside brood',
  },
  marksKinds: [
    ['seam', 'Bees'],
    ['strip', 'Strips'],
    ['brood', 'Brood'],
  ] as const,
  rule: {
    bees: (frames: string, most: number) =>
      `1 to ${frames} frames of bees${most > 0 ? `, at most ${most} a box` : ''}`,
    box: (each: number) => `${each} a box`,
    colony: (each: number) => `${each} a colony`,
  },
  countOnly: 'Only a count: no boards needed. Choose “Hives drawn” to see which gaps they hang in.',
  acidIn: (grams: string) => `${grams} g acid`,
  reach: (n: number) => `${n} ${n === 1 ? 'reaches' : 'reach'} in`,
  placeAgain: 'Place them for me',
  short: (wanted: number) => `of ${wanted}`,
  reasons: {
    too_few_gaps: 'no more gaps two frames apart',
    most_per_box: 'no more in a box',
    no_gap: 'no gap of the nest between two combs',
  } as Record<string, string>,
} as const
