import { methods } from '../../../words/names/kit.json'
import names from '../../../words/names/decide.json'
import { hours, seams as fraction, temperatures } from '../kit'

/** The words of the Decide screen. */
export const text = {
  ...names,
  methods,
  head: { hive: 'Hive', mites: 'Mites' },
  title: 'Which hive needs what',
  forDay: (day: string) => `For ${day}`,
  crew: 'People',
  none: 'No yards yet: add a yard and its hives, look in and count; then Keeler can judge.',
  toYards: 'To the yards',
  protocols: names.protocols as Record<string, string>,
  over: (n: number) =>
    n === 1
      ? 'One is over the threshold: treat the whole yard.'
      : `${n} are over the threshold: treat the whole yard.`,
  narrow: 'Which hives are shown',
  ways: {
    over: () => 'Over the threshold',
    fits: (method: string) => `Fits ${method}`,
    free: () => 'In no job',
  },
  findHive: 'Find a hive',
  goToYard: 'Go to a yard',
  foldAll: 'Fold all',
  unfoldAll: 'Unfold all',
  fold: (yard: string) => `Hives of ${yard}`,
  ofHives: (shown: number, all: number) =>
    shown === all ? (all === 1 ? '1 hive' : `${all} hives`) : `${shown} of ${all} hives`,
  noneFits: (method: string, why: string[]) => `None of these fits ${method} on this day: ${why.join('; ')}.`,
  ofThem: (why: string, n: number) => `${why.replace(/\.$/, '')} (${n === 1 ? '1 hive' : `${n} hives`})`,
  unseen: (n: number) =>
    n === 1 ? 'One of them is not shown just now.' : `${n} of them are not shown just now.`,
  toJob: (n: number) => (n === 1 ? '1 hive ticked: to the job' : `${n} hives ticked: to the job`),
  dayAsk: 'For',
  noForecast: (day: string, yards: string) =>
    `No forecast of ${day} for ${yards}. Say what you expect, or leave it and look at the thermometer and the sky on the day.`,
  expectLow: 'Lowest',
  expectHigh: 'Highest',
  expectWind: 'Wind',
  expectRain: 'Rain, most in an hour',
  expect: 'Judge by this',
  expected: (day: string) => `What you expect of ${day}; it counts until a forecast tells.`,
  seams: (n: number) => `${fraction(n)} seams`,
  windows: (method: string) => `Windows for ${method}, next ten days`,
  today: 'today',
  hours,
  meets: (n: number) => `meets ${n} of 100`,
  controls: 'Leave untreated to compare',
  controlsHint: (n: number) =>
    n > 0
      ? 'Drawn by chance, one from each so many with like counts. They keep their mites and spread them: treat them as soon as the counts after are made.'
      : 'Without some, nobody can tell the treatment from what would have happened anyway.',
  untreated: (names: string) =>
    `${names}: left untreated to compare, drawn by chance. Treat them once the counts after are made.`,
  takes: (n: number) => `${n} hives`,
  why: names.why as Record<string, string>,
  best: 'best',
  degrees: temperatures,
  chooseMethod: (method: string) => `Choose hives for ${method}`,
  tickAll: 'Tick all that fit',
  untick: 'Untick all',

  // The job.
  job: 'Job',
  jobEmpty: 'Tick the hives to treat, by the method whose column is chosen.',
  hives: (n: number) => (n === 1 ? '1 hive' : `${n} hives`),
  jobName: 'Call it',
  rule: 'Which rule do you work under?',
  ruleHint: 'Asked once for the job, and printed on every docket. Keeler does not know your law.',
  ruleWords: 'Which product or permit, in your words',
  ownHint: 'Many places forbid home-made treatments. Find out before you go on.',
  days: 'Days',
  share: (n: number, minutes: number) =>
    `${n} ${n === 1 ? 'hive' : 'hives'}, about ${Math.max(1, Math.round(minutes))} min`,
  left: (n: number) =>
    n === 1
      ? 'One finds no window within ten days: it stays on the day chosen.'
      : `${n} find no window within ten days: they stay on the day chosen.`,
  against:
    'These do not fit, or are in another open job. Untick them, or say why it is done all the same; the reason stays in the record.',
  overrideWhy: 'Why all the same?',
  make: 'Make the job',
  making: 'Making it…',
  under: 'Judged by',
  cards: 'Label cards',
  jobs: 'Jobs',
  allJobs: 'All jobs',
  noJobs: 'No job has been made yet.',
  toDecideNow: 'Decide makes one',
  notAway: 'All but archived',
  away: 'Archived',
  newestMade: 'Newest first',
  lastDay: 'Last day',
  byName: 'Name',
  leastDone: 'Least done',
  putAway: 'Archive',
  takeOut: 'Bring back',
  goRound: 'Go round',
  mixDay: (day: string) => `Mix for ${day}`,
  toDecide: '‹ Decide',
  toCheck: 'What follows, and did it work',
  madeOn: (day: string) => `Made ${day}`,
  override: 'All the same, because',
  doneOf: (n: number, all: number) => `${n} of ${all} done`,
  isOpen: 'Open',
  lapsed: 'Over: past its days',
  ended: names.ended as Record<string, string>,
  stillIn: (n: number, from: string, by: string) =>
    `In ${n === 1 ? '1 hive' : `${n} hives`} still: out ${from} to ${by}.`,
  finish: 'It is finished',
  cancel: 'Cancel it',
  cancelAsk: 'Cancel this job? What was given stays in the register; its hives are free for another.',
  finishAsk: (open: number) =>
    `${open === 1 ? '1 hive has' : `${open} hives have`} no line in the register yet. Finish it all the same?`,
  yes: 'Yes',
  no: 'No',
  print: 'Print',
  people: (n: number) => (n === 1 ? 'one person' : `${n} people`),
  suggestion: (yard: string, method: string) => `${yard}, ${method.toLowerCase()}`,
}
