import names from '../../../words/names/treat.json'
import { FACTS, type Method } from '../method/facts'
import type { Schemas } from '../api/client'
import { date, plain } from '../kit'

/** Every word of the round. */
export const text = {
  ...names,
  title: 'Rounds',
  intro: 'One visit per line. Once your phone has opened a round, it also works without signal.',
  none: 'No jobs yet. Make one on Decide.',
  toDecide: 'Go to Decide',
  start: 'Start round',
  startOut: 'Take out',
  dueOut: (from: string, by: string) => `take out ${from} to ${by}`,
  pastOut: 'past their last day',
  overWith: 'Finished jobs',
  doneOf: (n: number) => `${n} done`,
  sheet: 'On paper',
  practice: 'Practise dosing speed',
  colonies: (n: number) => (n === 1 ? '1 colony' : `${n} colonies`),
  loading: 'Opening the round',
  failed: 'Keeler cannot reach its server. Trying again.',
  unknown: 'There is no round at this address.',
  noCore: 'Keeler’s dose rules have not loaded, so no doses are shown. Trying again.',

  plannedFor: (day: string, today: string) => `Planned for ${day}; recorded as given today, ${today}.`,
  givenToday: (day: string) => `Recorded as given today, ${day}.`,
  givenEarlier: 'Given earlier, or by somebody else',
  givenDay: 'Given on',
  givenHour: 'At about',
  givenBy: 'Given by',
  enteredSave: 'Record them so',
  enteredAs: (day: string, hour: string, giver: string) =>
    `Entered afterwards: doses are recorded as given on ${day}, ${hour}${giver && `, by ${giver}`}.`,
  enteredChange: 'Change',
  enteredNow: 'Given now',

  position: (n: number, all: number) => `${n} of ${all}`,
  ml: 'mL',
  mixFirst: 'No finished batch for it.',
  toMix: 'Mix one first',
  boxes: (parts: string) => `bottom first: ${parts}`,
  box: (n: number, amount: string) => (amount ? `box ${n}: ${amount}` : `box ${n}`),
  open: 'Open the boxes',
  above: 'From above',
  joint: 'The cluster spans the joint',
  jointWhy: 'Open the boxes and each gets its share. From above, you do not break the cluster.',
  given: 'Given',
  placed: 'Placed',
  out: 'Out',
  other: 'Other',
  really: 'Actually given',
  nothing: 'Nothing given',
  keepIt: 'Save',
  deadKeep: 'Nothing given, check again later',
  deadClose: 'Dead: close the hive',
  cancel: 'Back',
  lowHint: 'A quiet hive is not a dead hive: listen, or look from below.',
  undo: 'Undo last',
  again: 'Give again',
  change: 'Correct',
  doneAt: (what: string, by: string) => [what, by].filter(Boolean).join(' · '),
  skipped: 'nothing given',
  twice: 'two doses',
  tookOut: (came: number, missing: number) => `${came} out${missing > 0 ? `, ${missing} missing` : ''}`,
  next: 'Next',
  last: 'Back',

  jar: (number: number, name: string) => `No. ${number} ${name}`,
  jarLabel: 'Giving from',
  notMade: ' (not mixed at the bench)',
  unsaid:
    'This batch was planned but not finished at the bench. You cannot give any of it until you say that it was mixed.',
  byHand: 'It was mixed without the bench',
  byHandRoom: 'Mixed without the bench, for today',
  byHandFridge: 'Mixed without the bench, kept in a locked fridge: a week',
  toBench: 'Go to batch',
  tooStrong: 'Stronger than this job planned: every dose holds more acid than intended.',
  methods: names.methods as Record<string, string>,
  stopTitle: 'Stop: already treated',
  stopGiven: (method: string, what: string, on: string) =>
    `${method}${what && ` (${what})`} on ${on}. Doses of the same acid add up.`,
  stopSameDay: (method: string, what: string, on: string) =>
    `${method}${what && ` (${what})`} on ${on}, the same day. Two doses of one acid in a day harm bees and queen.`,
  stopJob: (job: string, on: string) => `Also planned in the open job ${job}, for ${on}.`,
  stopWhy: 'Skip this hive, or say why you are treating it anyway. The reason stays with it.',
  stopReason: 'Why treat it anyway?',
  stopAgainst: 'Treat it anyway',
  stopPass: 'Skip, next hive',
  noJar: 'not from a recorded batch',
  noJarCosts: 'Without a batch the record cannot say how much acid it was, nor from which lot.',
  does: (n: number) => `enough for ${n} more`,
  doesAll: (over: string) => `enough for all, ${over} to spare`,
  short: (amount: string) => `${amount} short`,
  left: 'left',
  reconcile: 'to reconcile',
  pastDay: 'past its use-by date',

  extrasChoose: 'Edit checklist',
  extrasDone: 'Done',

  refusedTitle: 'These could not be saved. Nothing is lost: write them down or correct them.',
  drop: 'Remove',

  swap: (pieces: string, days: number) =>
    `Take out the old ${pieces} first, in for ${days === 1 ? '1 day' : `${days} days`}; these replace them.`,
  toCheck: 'What to come back for',
  acts: { moved: 'moved', board: 'clean board in' },
  boardIn: 'Board in',
  boardHint: 'A clean, greased board under the mesh floor. Keeler records the day.',
  moved: 'Moved',
  movedHint: 'Between combs with brood, two frames apart. Scrape off wax, so that bees can walk on them.',
  hangWell: 'They hang well',
  weighed: (amount: string, unit: string) => `${amount} ${unit}`,
  weigh: 'Weight now',
  weighLast: (g: string, on: string) => `${g} g on ${on}`,
  weighFirst: 'The first weighing: weigh it the same way next time.',
  weighIt: 'Save weight',
  weighHow: { weighed: 'Weighed', read: 'Read off the bottle' },
  readNow: 'Left in it now',
  readLast: (ml: string, on: string) => `${ml} mL on ${on}`,
  readIt: 'Save',
  hanging: (where: string, on: string) => `In gaps ${where}, since ${on}`,
  wick: 'Wick left open',
  eggsAsk: 'Eggs?',
  eggs: { true: 'Eggs seen', false: 'No eggs', undefined: 'Not looked for' } as Record<string, string>,
  eggsHint:
    'If there is dead brood, or many dead bees at the entrance: take the acid off, air the hive, look for the queen.',
  deadAsk: 'Dead bees at the entrance',
  dead: { none: 'None', few: 'A few', many: 'Many' },
  replace: { strip: 'Replace a strip', pad: 'Top up or replace', dribble: '' },
  replaceHow: { strip: 'New strips put in', pad: 'New ones put in', dribble: '' },
  replaceHint: 'Recorded as another dose in the same treatment; it comes out with the rest.',

  wear: 'Wear',
  finished: 'Round done',
  finishedLeft: (amount: string) => `${amount} left over`,
  neutralise: (grams: string) =>
    `${grams} g of bicarbonate neutralises it: open vessel, outdoors, 10 g at a time, waiting for the foam to settle. It is still poisonous and sweet: keep bees away from it.`,
  neutralised: 'neutralised after the round',
  neutralisedYes: 'Neutralised: close the batch',
  toBatch: 'Batch and ledger',
  due: (from: string, to: string) => `Take out from ${from}, by ${to} at the latest.`,
  early: (n: number) =>
    `${n === 1 ? '1 day' : `${n} days`} before they are due out. Reaching the mites in sealed brood takes the full time.`,
  earlyYes: 'Take them out anyway',
  daysIn: (n: number) => (n === 1 ? 'in for 1 day' : `in for ${n} days`),
  takeOut: 'Take out',
  spent:
    'Keep what came out sealed, away from bees and children; dispose of it as its label says. Never reuse it.',
  came: 'Came out',
  missing: 'Missing',
  chewed: 'Chewed',
  wind: 'Start at the downwind end and work into the wind.',
  reverse: 'Start at the other end',

  sheetTitle: (name: string, day: string) => `${name}, ${day}`,
  sheetIntro: (ml: string) =>
    `Tick a box for each seam: ${ml} mL for a full seam, half a box for half a seam.`,
  hive: 'Hive',
  seams: 'Seams',
  gives: 'gives',
  given2: 'given',
  remark: 'remark',
  print: 'Print',
  typeIn: 'Type it in',
  typeHint: 'Type an amount and press Enter, line by line; leave empty if nothing was given.',
  write: 'Save them',

  practiceTitle: 'Practice',
  practiceIntro: 'With plain 1 : 1 syrup and an empty box, no bees. Nothing is recorded.',
  practiceHint: 'Tap the gaps as the bees sit in your hive.',
  practiceHive: 'the practice box',
  seconds: 'Seconds per full seam',
  begin: 'Begin',
  stop: 'Stop',
  seamsAsk: 'Draw bees in at least one gap',
  nowSeam: (n: number, all: number, ml: string) => `seam ${n} of ${all}${ml && ` · ${ml} mL`}`,
  poured: (ml: string, all: string) => `${ml} of ${all} mL`,
  allPoured: (seconds: string) => `All done in ${seconds} s`,
  paceHint: 'Onto the bees, not the top bars.',
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
  s.code === 'same_day'
    ? text.stopSameDay(text.methods[s.method] ?? '', s.what ?? '', date(s.on))
    : s.code === 'in_job'
      ? text.stopJob(s.job ?? '', date(s.on))
      : text.stopGiven(text.methods[s.method] ?? '', s.what ?? '', date(s.on))
