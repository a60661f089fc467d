/** The words that the Mix screens of all methods share. */
export const text = {
  placeName: 'Yard or name',
  ruleField: 'You work by',
  ruleEmpty: 'label, permit, …',
  placeEmpty: 'your hives',
  boards: (place: string, n: number) => `${place}: ${n} ${n === 1 ? 'hive' : 'hives'} from above`,
  addHive: 'Add a hive',
  hiveKinds: {
    single10: 'Single, 10 frames',
    single11: 'Single, 11 frames',
    single8: 'Single, 8 frames',
    double10: 'Double, 10 frames',
    half10: 'Brood and a half',
    mediums10: 'Two mediums',
    nuc6: 'Nuc, 6 frames',
    nuc5: 'Nuc, 5 frames',
  },
  addMany: 'or type counts: 6 5½ 7+4',
  addManyLabel: 'Add several hives by typing their seams',
  addManyBad: (word: string) =>
    `“${word}” is no count for this hive: type such as 6, 5½ or 5.5 with spaces between, and 7+4 for two boxes, the lower first.`,
  addManyButton: 'Add',
  colonyName: (name: string) => `Name of ${name}`,
  counted: 'Seams counted',
  seamsOf: (seams: string) => `${seams} ${seams === '1' || /^[¼½¾]$/.test(seams) ? 'seam' : 'seams'}`,
  boxNames: {
    one: 'box',
    first: 'bottom box',
    second: 'second box',
    next: (n: number) => `box ${n}`,
  },
  menu: (name: string) => `More for ${name}`,
  copyColony: 'Copy this hive',
  removeColony: 'Take it off',
  nuc: 'nuc',
  nucOn: 'It is a nuc',
  nucOff: 'It is full-size',
  slots: 'Frames, feeder, dummy',
  clearSeams: 'Clear its seams',
  slotsTitle: (name: string) => `What hangs in ${name}`,
  done: 'Done',
  docket: 'Docket',
  seeDocket: 'Docket ↓',
  mend: 'Mend the marked figure, and the docket fills again.',
  lost: 'Keeler’s server does not answer. What you typed is kept here; the figures come back with it.',
  waiting: 'Working it out',

  method: 'Method',
  methods: { dribble: 'Dribble', strip: 'Strips', pad: 'Pads' },

  bench: 'Balance, prices and more',
  balance: 'Balance reads',
  capacity: 'It carries',
  notSaid: 'not said',

  batchName: 'Keep it as',
  save: 'Keep this batch',
  saving: 'Keeping…',
  saved: (name: string) => `Kept: ${name}`,
  open: 'Open',
  toBench: 'To the bench',
  signIn: 'Sign in',
  saveLost: 'Not kept: the server does not answer. Nothing is lost here; press again.',
  moreToHeed: (n: number) => `(and ${n} more)`,
  print: 'Print',

  startOver: 'Start over',
  startOverAsk: 'Clear everything typed here? Kept batches stay.',
  startOverYes: 'Clear it',
  keepIt: 'Keep it',
} as const

/** How the acid of a powder is counted, wherever a powder is what is held. */
export const powder = {
  powderBasis: 'Its acid is',
  powderBases: [
    ['', 'Dihydrate, as sold'],
    ['anhydrous', 'Anhydrous, dried'],
  ] as const,
  anhydrousHint:
    '0.714 g of it does the work of 1 g of dihydrate. Dried powder draws water from the air: keep it shut.',
} as const

/** The name of one of some choices. */
export const nameIn = (options: readonly (readonly [string, string])[], key: string) =>
  options.find(([k]) => k === key)?.[1]
