import type { StepWords } from '../../docket/Lines'

/** Every word of the docket of a pot, on the screen and on paper. */
export const text = {
  title: (pieces: string) => `Make solution for ${pieces}`,
  sub: (...parts: string[]) => ['strips', ...parts].filter(Boolean).join(' · '),
  steps: {
    glycerol: () => ['Glycerol', 'into a steel or enamel pot, by weight'],
    water: () => ['Water', 'for the crystals: anhydrous acid has none; stirred into the glycerol'],
    carried: () => ['Left-over solution', 'from the earlier pot, warmed with the rest'],
    acid: (l, at) => [
      l.ingredient === 'oxalic_acid_anhydrous' ? 'Anhydrous oxalic acid' : 'Oxalic dihydrate',
      `into the pot at ${at(l.temp_c ?? 0)}, draught across it, stir until clear`,
    ],
  } as StepWords,

  inPiece: (piece: string) => `acid in a ${piece}`,
  liquor: 'soaking solution',
  byWeight: 'acid by weight',
  left: 'left over',
  pot: 'smallest pot',
  costPiece: (piece: string) => `cost per ${piece}`,

  then: 'Then',
  dip: (heat: string, fall: string, most: string) =>
    `The acid cools the pot by about ${fall} (an estimate). Warm it back to ${heat} until clear, thermometer in it. Never above ${most}: a forgotten pot gives off acid gas, and drips on the hotplate smoke.`,
  soak: (bundles: string) =>
    `Pour over the strips, upright${bundles && `: ${bundles}`}. Loosen the bundles, weigh them down, leave for 24 hours. Drain back, weigh what is left, close it and mark it POISON.`,
  soakSponges:
    'Pour over the sponges and turn them after 3 to 5 minutes; one to one sets hard. Weigh what is left.',
  slots: (slots: number, strips: number) => `${slots} ${slots === 1 ? 'slot' : 'slots'} of ${strips}`,
  soaks: (n: number) => (n > 1 ? ` in ${n} soaks` : ''),

  head: ['Hive', 'Frames', 'Gaps', 'Strips'],
  acid: (grams: string) => `${grams} g acid`,
  box: (n: number, gaps: string) => `${n}: ${gaps}`,
  none: '–',
  gapsHint:
    'Gaps are counted from the left wall, which is 1; boxes from the floor. Fold over the top bar, at least two frames apart. Leave in for 42 to 56 days, then take out, scraps too.',
  through: 'Long ones reach into the box below.',

  keep: 'Keep strips sealed and marked; use within one to two months. Left-over solution goes into the next pot.',
  nevers:
    'Never measure acid with a spoon or cup. Never leave a pot on heat unattended. Never use aluminium, copper or galvanised vessels. Never use the vessels for food again; mark them POISON and lock them away. Nothing scraped from a treated hive goes to people.',
  leftIn: (grams: string) => `${grams} g`,
}
