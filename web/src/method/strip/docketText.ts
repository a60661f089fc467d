import type { StepWords } from '../../docket/Lines'

/** Every word of the docket of a pot, on the screen and on paper. */
export const text = {
  title: (pieces: string) => `Cook for ${pieces}`,
  sub: (...parts: string[]) => ['strips', ...parts].filter(Boolean).join(' · '),
  steps: {
    glycerol: () => ['Glycerol', 'into a steel or enamel pot, by weight'],
    water: () => ['Water', 'for the crystals: anhydrous acid lacks it; stirred into the glycerol'],
    carried: () => ['Left-over liquor', 'of the earlier pot, warmed with it'],
    acid: (l, at) => [
      l.ingredient === 'oxalic_acid_anhydrous' ? 'Anhydrous oxalic acid' : 'Oxalic dihydrate',
      `into the pot at ${at(l.temp_c ?? 0)}, draught across it, stir till clear`,
    ],
  } as StepWords,

  inPiece: (piece: string) => `acid in a ${piece}`,
  liquor: 'liquor',
  byWeight: 'acid by weight',
  left: 'left over',
  pot: 'pot at least',
  costPiece: (piece: string) => `cost a ${piece}`,

  then: 'Then',
  dip: (heat: string, fall: string, most: string) =>
    `The acid cools the pot by about ${fall} (an estimate). Warm it back to ${heat} until clear, thermometer in it. Never above ${most}: a forgotten pot gives off acid gas, and drips on the plate smoke.`,
  soak: (bundles: string) =>
    `Pour over the strips, upright${bundles && `: ${bundles}`}. Bundles loosened, weighted down, 24 hours. Drain back, weigh what is left, close it, mark it POISON.`,
  soakSponges:
    'Pour over the sponges and turn them after 3 to 5 minutes; one to one sets hard. Weigh what is left.',
  slots: (slots: number, strips: number) => `${slots} ${slots === 1 ? 'slot' : 'slots'} of ${strips}`,
  soaks: (n: number) => (n > 1 ? ` in ${n} soaks` : ''),

  head: ['Hive', 'Frames', 'Gaps', 'Strips'],
  acid: (grams: string) => `${grams} g acid`,
  box: (n: number, gaps: string) => `${n}: ${gaps}`,
  none: '–',
  gapsHint:
    'Gaps are counted from the left wall, which is 1; boxes from the floor. Folded over the top bar, two frames apart at least. In for 42 to 56 days, then out, what is left of them too.',
  through: 'Long ones reach into the box below.',

  keep: 'Strips sealed and marked; used within one to two months. Left-over liquor goes into the next pot.',
  nevers:
    'Never a spoon or cup for acid. Never a pot left alone on heat. Never aluminium, copper or galvanised. Vessels never again for food; marked POISON, locked away. Nothing scraped from a treated hive goes to people.',
  leftIn: (grams: string) => `${grams} g`,
}
