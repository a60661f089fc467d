import names from '../../../words/names/method.json'

/** The words that the Mix screens of all methods share. */
export const text = {
  ...names,
  placeName: 'Yard or name',
  ruleField: 'You work by',
  ruleEmpty: 'label, permit, …',
  byCard: 'Label card',
  noCard: 'fill in from a card',
  docket: 'Docket',
  seeDocket: 'Docket ↓',
  mend: 'Fix the marked field to see your docket.',
  toBegin: 'Your docket will be here.',
  lost: 'Keeler cannot reach its server. What you typed is still here; the figures will come back.',
  waiting: 'Working it out',

  method: 'Method',

  bench: 'Balance, prices and more',
  balance: 'Balance reads to',
  capacity: 'Capacity',
  notSaid: 'not said',

  batchName: 'Batch name',
  save: 'Save batch',
  saving: 'Saving…',
  saved: (name: string) => `Saved: ${name}`,
  open: 'Open',
  toBench: 'Go to bench',
  signIn: 'Sign in',
  saveLost: 'Not saved: Keeler cannot reach its server. Nothing is lost: try again.',
  moreToHeed: (n: number) => `(and ${n} more)`,
  print: 'Print',

  startOver: 'Start over',
  startOverAsk: 'Clear everything typed here? Saved batches stay.',
  startOverYes: 'Clear everything',
  keepIt: 'Keep it',
} as const

/** How the acid of a powder is counted, wherever a powder is what is held. */
export const powder = {
  powderBasis: 'Form of the acid',
  powderBases: { '': 'Dihydrate, as sold', anhydrous: 'Anhydrous, dried' },
  anhydrousHint:
    '0.714 g of it does the work of 1 g of dihydrate. Dried powder draws water from the air: keep it closed.',
} as const
