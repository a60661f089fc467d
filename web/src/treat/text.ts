import names from '../../../words/names/treat.json'
import { FACTS, type Method } from '../method/facts'
import type { Schemas } from '../api/client'
import { date, plain } from '../kit'

/** Every word of the round. */
export const text = {
  ...names,
  title: 'Rounds',
  intro: 'One going-out a line. A phone that has opened a round once goes through it without signal, too.',
  none: 'No job is made yet: Decide makes one.',
  toDecide: 'To Decide',
  start: 'Go round',
  startOut: 'Take out',
  dueOut: (from: string, by: string) => `due out ${from} to ${by}`,
  pastOut: 'past their last day',
  overWith: 'Jobs that are over',
  doneOf: (n: number) => `${n} done`,
  sheet: 'On paper',
  practice: 'Practise the pace with plain syrup',
  colonies: (n: number) => (n === 1 ? '1 colony' : `${n} colonies`),
  loading: 'Opening the round',
  failed: 'The round could not be read. It is asked again.',
  unknown: 'There is no such round here.',
  noCore: 'Keeler’s rules could not be loaded here: no doses without them. They are asked for again.',

  position: (n: number, all: number) => `${n} of ${all}`,
  ml: 'mL',
  mixFirst: 'No batch is finished for it.',
  toMix: 'Mix one first',
  boxes: (parts: string) => `bottom first: ${parts}`,
  box: (n: number, amount: string) => (amount ? `box ${n}: ${amount}` : `box ${n}`),
  open: 'Open the boxes',
  above: 'From above',
  joint: 'The cluster spans the joint',
  jointWhy: 'Opened, each box gets its share. From above, the cluster is not broken.',
  given: 'Given',
  placed: 'Placed',
  out: 'Out',
  other: 'Other',
  really: 'Really given',
  nothing: 'Nothing given',
  keepIt: 'Write it down',
  deadKeep: 'Nothing given, look again',
  deadClose: 'It is dead: close it',
  cancel: 'Back',
  lowHint: 'A quiet hive is not a dead hive: listen, or look from below.',
  undo: 'Undo the last',
  again: 'Give once more',
  change: 'Correct it',
  doneAt: (what: string, by: string) => [what, by].filter(Boolean).join(' · '),
  skipped: 'nothing given',
  tookOut: (came: number, missing: number) => `${came} out${missing > 0 ? `, ${missing} missing` : ''}`,
  next: 'Next',
  last: 'Back',

  jar: (number: number, name: string) => `No. ${number} ${name}`,
  jarLabel: 'Giving from',
  notMade: ' (not at the bench)',
  unsaid:
    'This batch was planned but not finished at the bench. Nothing is poured from it until you say that it was mixed.',
  byHand: 'It was mixed without the bench',
  toBench: 'To the batch',
  tooStrong: 'Stronger than this job means, mL for mL: every dose holds more acid than was planned.',
  methods: names.methods as Record<string, string>,
  stopTitle: 'Stop: not another dose',
  stopGiven: (method: string, what: string, on: string) =>
    `${method}${what && ` (${what})`} on ${on}. Doses of the same acid add up.`,
  stopJob: (job: string, on: string) => `Also in the open job ${job}, for ${on}.`,
  stopWhy: 'Leave it out, or say why it gets this one all the same. The reason stays with it.',
  stopReason: 'Why give it all the same',
  stopAgainst: 'Give it all the same',
  stopPass: 'Leave it, next hive',
  noJar: 'from no batch',
  does: (n: number) => `does ${n} more`,
  doesAll: (over: string) => `does them all, ${over} over`,
  short: (amount: string) => `${amount} short`,
  left: 'left',
  reconcile: 'to reconcile',
  pastDay: 'past its day',

  extrasChoose: 'Choose what is ticked this season',
  extrasDone: 'Done choosing',

  refusedTitle: 'These could not be saved. Nothing is lost: write them down, or put them right.',
  drop: 'Drop it',

  swap: (pieces: string, days: number) =>
    `Take out the old ${pieces} first, in for ${days === 1 ? '1 day' : `${days} days`}: these take their place.`,
  toCheck: 'What to come back for',
  acts: { moved: 'moved', board: 'clean board in' },
  boardIn: 'Board in',
  boardHint: 'A clean, greased board under the mesh floor. Note nothing: the day is taken down.',
  moved: 'Moved',
  movedHint: 'Between combs with brood, two frames apart. Scrape off wax, so that bees can walk on them.',
  hangWell: 'They hang well',
  weighed: (amount: string, unit: string) => `${amount} ${unit}`,
  weigh: 'What it weighs now',
  weighLast: (g: string, on: string) => `${g} g on ${on}`,
  weighFirst: 'The first weighing: write it down, and weigh it the same way next time.',
  weighIt: 'Save weight',
  weighHow: { weighed: 'Weighed', read: 'Read off the bottle' },
  readNow: 'Left in it now',
  readLast: (ml: string, on: string) => `${ml} mL on ${on}`,
  readIt: 'Save it',
  hanging: (where: string, on: string) => `In gaps ${where}, since ${on}`,
  wick: 'Wick left open',
  eggsAsk: 'Eggs?',
  eggs: { true: 'Eggs seen', false: 'No eggs', undefined: 'Not looked for' } as Record<string, string>,
  eggsHint:
    'Dead brood or many dead bees at the entrance: take the acid off, air the hive, look for the queen.',
  deadAsk: 'Dead bees at the entrance',
  dead: { none: 'None', few: 'A few', many: 'Many' },
  replace: { strip: 'Replace a strip', pad: 'Top up or replace', dribble: '' },
  replaceHow: { strip: 'Strips put in anew', pad: 'Put in anew', dribble: '' },
  replaceHint: 'Written as a dose of its own in the same treatment; it comes out with the rest.',

  wear: 'Wear',
  finished: 'The round is done',
  finishedLeft: (amount: string) => `${amount} left over`,
  neutralise: (grams: string) =>
    `${grams} g of bicarbonate take it up: open vessel, outdoors, in portions of 10 g, each when the foam has fallen. It stays poisonous and sweet: keep bees off it.`,
  neutralised: 'neutralised after the round',
  neutralisedYes: 'It is neutralised: close the account',
  toBatch: 'the batch and its ledger',
  due: (from: string, to: string) => `Out from ${from}, by ${to} at the latest.`,
  early: (n: number) =>
    `${n === 1 ? '1 day' : `${n} days`} before they are due out. Mites in sealed brood need the whole time.`,
  earlyYes: 'Take them out all the same',
  daysIn: (n: number) => (n === 1 ? 'in for 1 day' : `in for ${n} days`),
  takeOut: 'Take out',
  spent:
    'Keep what came out sealed, away from bees and children; get rid of it as its label says. Never use it again.',
  came: 'Came out',
  missing: 'Missing',
  chewed: 'Chewed',
  wind: 'Begin at the downwind end and work into the wind.',
  reverse: 'From the other end',

  sheetTitle: (name: string, day: string) => `${name}, ${day}`,
  sheetIntro: (ml: string) => `Tick a box for each seam. ${ml} mL a full seam, half a box for half a seam.`,
  hive: 'Hive',
  seams: 'Seams',
  gives: 'gives',
  given2: 'given',
  remark: 'remark',
  print: 'Print',
  typeIn: 'Type it in',
  typeHint: 'Amount and Enter, line by line; empty for nothing given.',
  write: 'Write them down',

  practiceTitle: 'Practice',
  practiceIntro: 'Plain 1 : 1 syrup, an empty box, no bees. Nothing is recorded.',
  seconds: 'Seconds a seam',
  seamsToDo: 'Seams',
  begin: 'Begin',
  stop: 'Stop',
  now: (n: number, all: number) => `seam ${n} of ${all}`,
  paceHint: '5 mL in each, on the bees, not on the bars.',
}

/** What a line says was done, in a few words. */
export function wordsOf(method: Method, r: Schemas['Application']) {
  if (r.kind === 'out') return text.tookOut(r.came ?? 0, r.missing ?? 0)
  if (r.kind === 'weighed') return text.weighed(plain(r.amount ?? 0), r.read ? 'mL' : 'g')
  if (r.kind === 'checked') return text.eggs[`${r.eggs}`] ?? ''
  if (r.kind === 'moved' || r.kind === 'board') return text.acts[r.kind]
  if (r.kind !== 'given') return text.skipped
  const amount = r.amount ?? 0
  const unit = r.unit === 'pieces' || !FACTS[method].vessel ? FACTS[method].pieces(amount) : text.ml
  return `${plain(amount)} ${unit}`
}

/** What a round stops at, in a sentence. */
export const stopWords = (s: Schemas['Stop']) =>
  s.code === 'in_job'
    ? text.stopJob(s.job ?? '', date(s.on))
    : text.stopGiven(text.methods[s.method] ?? '', s.what ?? '', date(s.on))
