import type { Degrees, StepWords } from '../../docket/Lines'

const ACIDS: Record<string, string> = {
  packet_powder: 'Packet powder',
  oxalic_acid_anhydrous: 'Anhydrous oxalic acid',
}

/** Every word of the dribble's docket, on the screen and on paper. */
export const text = {
  weighFor: (volume: string) => `Weigh for ${volume}`,
  pourFor: (volume: string) => `Measure out ${volume}`,
  sub: (...parts: string[]) => ['dribble', ...parts].filter(Boolean).join(' · '),
  own: 'own strength',
  asPacket: 'as the packet’s label',
  byCard: 'by the label card',
  steps: {
    sugar: () => ['Sugar', 'clean hands, before the gear'],
    hot_water: (l, at) => [`Water, ${at(l.temp_c ?? 0)}`, 'a third of it, into the jug first'],
    acid: (l) => [
      ACIDS[l.ingredient] ?? 'Oxalic dihydrate',
      'into the hot water, stir until clear, no metal',
    ],
    rest_water: (_, at) => ['The sugar, then water', `stir until clear, cool to ${at(20)}–${at(25)}, label`],
    all_water: (l, at) => [`Water, ${at(l.temp_c ?? 0)}`, 'all of it; stir in the sugar until clear'],
    tablets: () => ['Tablets', 'counted in, stir until clear, no metal'],
    water: (l, at) => [`Water, ${at(l.temp_c ?? 0)}`, 'stir in any sugar until clear'],
    stock: () => ['Ready-mix', 'poured in last, stirred, labelled'],
    warm_bottle: (l, at) => ['The product', `warmed to ${at(l.temp_c ?? 0)}, shaken as its label says`],
  } as StepWords,
  tablets: 'tablets',
  dihydrate: 'as dihydrate',
  anhydrous: 'as anhydrous',
  inSeam: 'in a full seam',
  atCap: (cap: string) => `at the ${cap} mL cap`,
  byWeight: 'by weight, dihydrate',
  perLitre: 'dihydrate per litre',
  doseHead: ['Hive', 'Seams', 'Draw', 'mL'],
  draw: {
    syringe: (fills: string) => fills,
    bulb: (n: string) => `${n} squeezes`,
    gun: (n: string) => `${n} shots`,
    sprayer: (n: string) => `${n} s`,
  },
  keep: (at: Degrees) =>
    `Make it for the day: it keeps at most a day at room temperature or a week in a locked fridge without food, marked with its date. Warm it to ${at(20)}–${at(25)} and stir it clear before use.`,
  clearTo: (t: string) => `The acid stays dissolved down to ${t}.`,
  aftercare: 'Neutralised syrup is still poisonous and sweet: keep bees away from it.',
  nevers:
    'Never measure acid with a spoon or cup: crystals pack differently, so the same spoon holds more or less. Never shake it in a closed jar. Never use aluminium, copper or galvanised vessels. Never use the vessels for food again; mark them POISON and lock them away.',
}
