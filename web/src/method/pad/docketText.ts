import type { StepWords } from '../../docket/Lines'

/** Every word of the docket of formic acid, on the screen and on paper. */
export const text = {
  title: (volume: string) => `Dilute to ${volume}`,
  asIs: (volume: string) => `Measure out ${volume}`,
  count: (pads: string) => `Count out ${pads}`,
  sub: (...parts: string[]) => ['pads', ...parts].filter(Boolean).join(' · '),
  of: (percent: string) => `${percent} %`,
  steps: {
    cold_water: (l, at) => ['Water', `from the fridge, ${at(l.temp_c ?? 0)}, into the bottle first`],
    stock: () => ['Formic acid', 'cold, slowly into the water, outdoors, upwind'],
    pads: () => ['Ready pads', 'by their label; leave the wrapper on until the hive is open'],
  } as StepWords,
  pouring: (l: { temp_c?: number }, at: (c: number) => string) => [
    'Formic acid',
    `as it is, cold, ${at(l.temp_c ?? 0)}, outdoors, upwind`,
  ],
  pads: 'pads',

  shrinks: 'lost in mixing',
  used: 'strength as used',
  stock: 'stock strength',
  visit: 'one visit, all hives',
  visitAcid: 'pure acid in it',
  course: 'all visits',
  bottles: (size: string) => `stock in ${size} bottles`,
  spare: (bottles: number, ml: string) => `${bottles === 1 ? 'bottle' : 'bottles'}, ${ml} mL to spare`,
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
    above: 'From above, over the combs, with 10 cm of room above the brood.',
    below: 'From below, on the floor tray under the mesh.',
  } as Record<string, string>,
  where:
    'Keep the wind at your back and start with the downwind hive. Mesh tray in, entrance open, after the last harvest; daily high 10 to 29 °C. Look for the queen and eggs after 5 to 7 days.',

  nevers:
    'Never pour water into acid. Never measure acid with a spoon or cup. Never indoors, never with nitrile gloves alone, never above 29.5 °C in the first three days. Never in a closed car. Never use the bottles for food again; mark them POISON and lock them away, upright.',
  keep: 'Cold, closed and upright; use it up over the course. The acid’s label comes before anything here.',
  keepPads: 'Cold, in their wrapper, until the date on it. The product’s label comes before anything here.',
}
