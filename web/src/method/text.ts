import names from '../../../words/names/method.json'

/** The words that the Mix screens of all methods share. */
export const text = {
  ...names,
  placeName: 'Yard or name',
  ruleField: 'You work by',
  ruleEmpty: 'label, permit, …',
  docket: 'Docket',
  seeDocket: 'Docket ↓',
  mend: 'Mend the marked figure, and the docket fills again.',
  lost: 'Keeler’s server does not answer. What you typed is still here; the figures come back with it.',
  waiting: 'Working it out',

  method: 'Method',

  bench: 'Balance, prices and more',
  balance: 'Balance reads',
  capacity: 'It carries',
  notSaid: 'not said',

  batchName: 'Save it as',
  save: 'Save this batch',
  saving: 'Saving…',
  saved: (name: string) => `Saved: ${name}`,
  open: 'Open',
  toBench: 'To the bench',
  signIn: 'Sign in',
  saveLost: 'Not saved: the server does not answer. Nothing is lost here; press again.',
  moreToHeed: (n: number) => `(and ${n} more)`,
  print: 'Print',

  startOver: 'Start over',
  startOverAsk: 'Clear everything typed here? Saved batches stay.',
  startOverYes: 'Clear it',
  keepIt: 'Keep it',
} as const

/** How the acid of a powder is counted, wherever a powder is what is held. */
export const powder = {
  powderBasis: 'Its acid is',
  powderBases: { '': 'Dihydrate, as sold', anhydrous: 'Anhydrous, dried' },
  anhydrousHint:
    '0.714 g of it does the work of 1 g of dihydrate. Dried powder draws water from the air: keep it shut.',
} as const
