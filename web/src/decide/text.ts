import { methods } from '../../../words/names/kit.json'
import names from '../../../words/names/decide.json'
import { hours, seams as fraction, temperatures } from '../kit'

/** The words of the Decide screen. */
export const text = {
  ...names,
  methods,
  head: { hive: 'Hive', mites: 'Mites' },
  title: 'What each hive needs',
  forDay: (day: string) => `For ${day}`,
  crew: 'People',
  none: 'No yards yet. Add a yard and its hives, look in and count mites; then Keeler can advise.',
  toYards: 'Go to Yards',
  protocols: names.protocols as Record<string, string>,
  over: (n: number) =>
    n === 1
      ? 'One is over the threshold: treat the whole yard.'
      : `${n} are over the threshold: treat the whole yard.`,
  foreseeing: 'Forecasts of mites are on their way',
  narrow: 'Which hives are shown',
  ways: {
    over: () => 'Over the threshold',
    fits: (method: string) => `${method} fits`,
    free: () => 'Not in a job',
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
    n === 1 ? 'One of them is hidden at the moment.' : `${n} of them are hidden at the moment.`,
  toJob: (n: number) => (n === 1 ? '1 hive ticked: go to job' : `${n} hives ticked: go to job`),
  dayAsk: 'For',
  noForecast: (day: string, yards: string) =>
    `No forecast for ${yards} on ${day}. Enter the weather you expect, or leave it and check the thermometer and sky on the day.`,
  expectLow: 'Lowest',
  expectHigh: 'Highest',
  expectWind: 'Wind',
  expectRain: 'Heaviest rain in an hour',
  expect: 'Use this weather',
  expected: (day: string) => `What you expect on ${day}; used until there is a forecast.`,
  seams: (n: number) => `${fraction(n)} seams`,
  windows: (method: string) => `Windows for ${method}, next ten days`,
  today: 'today',
  hours,
  meets: (n: number) => `reaches ${n} of 100`,
  controls: 'Leave untreated as controls',
  controlsHint: (n: number) =>
    n > 0
      ? 'Drawn at random from hives with similar counts. They keep their mites and can spread them: treat them as soon as the after counts are done.'
      : 'Without controls you cannot tell what the treatment did from what would have happened anyway.',
  untreated: (names: string) =>
    `${names}: left untreated as controls, drawn at random. Treat them once the after counts are done.`,
  takes: (n: number) => `${n} hives`,
  why: names.why as Record<string, string>,
  best: 'best',
  degrees: temperatures,
  chooseMethod: (method: string) => `Choose hives for ${method}`,
  tickAll: 'Tick all that fit',
  untick: 'Untick all',

  // The job.
  job: 'Job',
  jobEmpty: 'Tick the hives to treat in the chosen method’s column.',
  hives: (n: number) => (n === 1 ? '1 hive' : `${n} hives`),
  jobName: 'Job name',
  rule: 'Which rule do you work under?',
  ruleHint: 'Asked once a job and printed on every docket. Keeler does not know your local law.',
  ruleWords: 'Which product or permit',
  ownHint: 'Many places forbid home-made treatments. Check before you go on.',
  days: 'Days',
  share: (n: number, minutes: number) =>
    `${n} ${n === 1 ? 'hive' : 'hives'}, about ${Math.max(1, Math.round(minutes))} min`,
  left: (n: number) =>
    n === 1
      ? 'No suitable weather for one hive in the next ten days: it stays on the chosen day.'
      : `No suitable weather for ${n} hives in the next ten days: they stay on the chosen day.`,
  against:
    'These do not fit, or are in another open job. Untick them, or say why you are treating anyway; the reason stays in the record.',
  overrideWhy: 'Why are you treating anyway?',
  make: 'Make job',
  making: 'Making…',
  under: 'Protocol or label card',
  cards: 'Label cards',
  jobs: 'Jobs',
  allJobs: 'All jobs',
  noJobs: 'No jobs yet.',
  toDecideNow: 'Make one on Decide',
  notAway: 'Not archived',
  away: 'Archived',
  newestMade: 'Newest first',
  lastDay: 'Last day',
  byName: 'Name',
  leastDone: 'Least done',
  putAway: 'Archive',
  takeOut: 'Unarchive',
  goRound: 'Start round',
  mixDay: (day: string) => `Mix for ${day}`,
  toDecide: '‹ Decide',
  toCheck: 'Follow-ups, and did it work?',
  madeOn: (day: string) => `Made ${day}`,
  override: 'Treated anyway because',
  doneOf: (n: number, all: number) => `${n} of ${all} done`,
  isOpen: 'Open',
  lapsed: 'Past its dates',
  ended: names.ended as Record<string, string>,
  stillIn: (n: number, from: string, by: string) =>
    `Still in ${n === 1 ? '1 hive' : `${n} hives`}: take out ${from} to ${by}.`,
  finish: 'Finish job',
  cancel: 'Cancel job',
  cancelAsk: 'Cancel this job? What was given stays in the register, and its hives can go into another job.',
  finishAsk: (open: number) =>
    `${open === 1 ? '1 hive has' : `${open} hives have`} nothing in the register yet. Finish anyway?`,
  yes: 'Yes',
  no: 'No',
  print: 'Print',
  people: (n: number) => (n === 1 ? 'one person' : `${n} people`),
  suggestion: (yard: string, method: string) => `${yard}, ${method.toLowerCase()}`,
}
