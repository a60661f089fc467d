import type { Schemas } from '../../api/client'

type Line = Schemas['Line']
/** Writes a temperature in the units in use. */
type Degrees = (celsius: number) => string

/** Every word of the dribble's docket, on the screen and on paper. */
export const text = {
  weighFor: (volume: string) => `Weigh for ${volume}`,
  pourFor: (volume: string) => `Measure out ${volume}`,
  sub: (...parts: string[]) => ['dribble', ...parts].filter(Boolean).join(' · '),
  own: 'own strength',
  asPacket: 'as the packet’s label',
  byCard: 'by the label card',
  origin: (place: string, when: string) => `Keeler · ${place} · ${when}`,
  mend: 'Mend the marked figure, and the docket fills again.',
  lost: 'Keeler’s server does not answer. What you typed is kept here; the figures come back with it.',
  waiting: 'Working it out',

  steps: {
    sugar: () => ['Sugar', 'clean hands, before the gear'],
    hot_water: (l, at) => [`Water, ${at(l.water_c ?? 0)}`, 'a third of it, into the jug first'],
    acid: (l) => [
      l.ingredient === 'packet_powder' ? 'Packet powder' : 'Oxalic dihydrate',
      'into the hot water, stir till clear, no metal',
    ],
    rest_water: (_, at) => ['The sugar, then water', `stir till clear, cool to ${at(20)}–${at(25)}, label`],
    all_water: (l, at) => [`Water, ${at(l.water_c ?? 0)}`, 'all of it; stir in the sugar till clear'],
    tablets: () => ['Tablets', 'counted in, stir till clear, no metal'],
    water: (l, at) => [`Water, ${at(l.water_c ?? 0)}`, 'stir in any sugar till clear'],
    stock: () => ['Ready-mix', 'poured in last, stirred, labelled'],
    warm_bottle: (l, at) => ['The product', `warmed to ${at(l.water_c ?? 0)}, shaken as its label says`],
  } as Record<string, (l: Line, at: Degrees) => string[]>,
  tablets: 'tablets',
  gearLabel: 'Put on before the next line',
  gear: {
    nitrile_gloves: 'nitrile gloves',
    butyl_gloves: 'butyl or neoprene gloves',
    goggles: 'goggles',
    particle_mask: 'P2 mask or better',
    long_sleeves: 'long sleeves',
    water_bottle: 'squeeze bottle of water',
  } as Record<string, string>,
  tolerance: (band: string) => `± ${band}`,
  grams: (g: string) => `${g} g`,

  dihydrate: 'as dihydrate',
  anhydrous: 'as anhydrous',
  inSeam: 'in a full seam',
  atCap: (cap: string) => `at the ${cap} mL cap`,
  byWeight: 'by weight, dihydrate',
  perLitre: 'dihydrate per litre',
  cost: 'cost of all',
  costColony: 'cost a colony',

  giving: 'For giving it',
  doses: 'Who gets what',
  doseHead: ['Hive', 'Seams', 'Draw', 'mL'],
  draw: {
    syringe: (fills: string) => fills,
    bulb: (n: string) => `${n} squeezes`,
    gun: (n: string) => `${n} shots`,
    sprayer: (n: string) => `${n} s`,
  },
  sum: 'All',

  notes: 'Mind',
  keeping: 'Keeping',
  keep: (at: Degrees) =>
    `Make it for the day: a day at room temperature at most, a week in the fridge, marked with its date. Warm it to ${at(20)}–${at(25)} and stir it clear before use.`,
  clearTo: (t: string) => `The acid stays dissolved down to ${t}.`,
  never: 'Never',
  nevers:
    'Never by spoon or cup: crystals pack differently, so the same spoon holds more or less. Never shaken in a closed jar. Never aluminium, copper or galvanised. The vessels never again for food; mark them POISON and lock them away.',
  splash: 'After a splash',
  splashes:
    'Eyes: rinse at once, lenses out, at least 15 minutes, and call for help still rinsing. Skin: clothes off, much water. Swallowed: rinse the mouth, do not make sick, poison centre.',
  leftover: 'Left over',
  neutralise: (volume: string, bicarbonate: string, gas: string) =>
    `${volume} left takes ${bicarbonate} of bicarbonate and gives ${gas} of gas: open bucket, small portions, it foams. Keep bees off it.`,
  neutraliseAll: (bicarbonate: string) => `The whole batch would take ${bicarbonate} of bicarbonate.`,
  law: 'Law',
  laws: 'Many places forbid home-made mixtures and allow only a registered product by its label. Keeler does not say what is allowed where you are.',
  lawCard: 'The product’s label comes before anything here.',
  ruleNoted: (rule: string) => `Noted: ${rule}.`,

  batchName: 'Keep it as',
  save: 'Keep this batch',
  saving: 'Keeping…',
  saved: (name: string) => `Kept: ${name}`,
  open: 'Open',
  saveLost: 'Not kept: the server does not answer. Nothing is lost here; press again.',
  print: 'Print',
}
