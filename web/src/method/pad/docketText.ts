import type { StepWords } from '../../docket/Lines'

/** Every word of the docket of formic acid, on the screen and on paper. */
export const text = {
  title: (volume: string) => `Let down ${volume}`,
  asIs: (volume: string) => `Measure out ${volume}`,
  count: (pads: string) => `Count out ${pads}`,
  sub: (...parts: string[]) => ['pads', ...parts].filter(Boolean).join(' · '),
  of: (percent: string) => `${percent} %`,
  steps: {
    cold_water: (l, at) => ['Water', `from the fridge, ${at(l.temp_c ?? 0)}, into the bottle first`],
    stock: () => ['Formic acid', 'cold, slowly into the water, outdoors, upwind'],
    pads: () => ['Ready pads', 'by their label, the wrap on until the hive is open'],
  } as StepWords,
  pouring: (l: { temp_c?: number }, at: (c: number) => string) => [
    'Formic acid',
    `as it is, cold, ${at(l.temp_c ?? 0)}, outdoors, upwind`,
  ],
  pads: 'pads',

  shrinks: 'lost in mixing',
  used: 'used at, by weight',
  stock: 'stock, by weight',
  visit: 'one visit to all',
  visitAcid: 'pure acid in it',
  course: 'all visits',
  bottles: (size: string) => `stock in ${size} bottles`,
  spare: (ml: string) => `${ml} mL spare`,
  sheets: 'sheets for a visit',

  head: ['Hive', 'Combs', 'Acid', 'mL'],
  headPads: ['Hive', 'Combs', 'Acid', 'Pads'],
  each: (n: number) => `each of ${n}`,
  grams: (g: string) => `${g} g`,
  visits: (n: number, apart: number, days: number) =>
    n === 1
      ? `One visit${days > 0 ? `, left on for ${days} days` : ''}.`
      : `${n} visits, ${apart} days apart: ${days} days in all.`,
  from: {
    above: 'From above, over the combs, room of 10 cm above the brood.',
    below: 'From below, on the floor tray under the mesh.',
  } as Record<string, string>,
  where:
    'Work from the wind inwards: the downwind hive first. Mesh tray in, entrance open, after the last harvest; day maximum 10 to 29 °C. Look for queen and eggs 5 to 7 days in.',

  nevers:
    'Never water into acid. Never by spoon or cup. Never indoors, never with nitrile gloves alone, never above 29.5 °C in the first three days. Never in a closed car. Bottles never again for food; marked POISON, locked away, upright.',
  keep: 'Cold, closed and upright; used up over the course. The label of the acid comes before anything here.',
  keepPads: 'In their wrap, cold, to the date on it. The product’s label comes before anything here.',
}
