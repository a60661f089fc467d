import decide from '../../../../words/names/decide.json'
import { methods } from '../../../../words/names/kit.json'
import strip from '../../../../words/names/strip.json'
import { date } from '../../kit'

/** Every word of comparisons. */
export const text = {
  title: 'Compare',
  intro: 'Treatments side by side, judged by the same kind of count.',
  by: {
    job: 'Jobs',
    year: 'Years',
    yard: 'Yards',
    method: 'Methods',
    protocol: 'Protocols',
    batch: 'Batches',
    carrier: 'Kinds of strip',
  },
  byWhat: 'Compare by',
  anyMethod: 'all methods',
  anyYard: 'all yards',
  ofMethod: 'Method',
  ofYard: 'Yard',
  ofJob: 'This job only',
  allJobs: 'All jobs',
  methods,
  keys: { ...methods, ...decide.protocols, ...strip.carriers, strips: decide.protocols.strips } as Record<
    string,
    string
  >,
  killed: 'Mites killed',
  basis: {
    fall: 'by what fell, with a second treatment to show what was left',
    wash: 'by washes before and after',
    board: 'by boards before and after',
  },
  otherBasis: {
    fall: 'judged by what fell: not compared with the others',
    wash: 'judged by washes: not compared with the others',
    board: 'judged by boards: not compared with the others',
  },
  hives: (n: number) => (n === 1 ? '1 hive' : `${n} hives`),
  told: (told: number, all: number) =>
    told === all ? (all === 1 ? '1 hive' : `${all} hives`) : `${told} of ${all} hives`,
  few: 'few hives',
  notTold: 'not counted before and after',
  nothingGiven: 'nothing given yet',
  none: 'Nothing to compare yet. You need hives treated, and counted before and after.',
  apart: 'Is it more than chance?',
  apartNote: (pairs: number) =>
    pairs > 1
      ? `With ${pairs} pairs, one may stand out by chance, so the bar is set higher.`
      : 'By 95 % intervals.',
  more: (a: string, b: string, n: string) =>
    n === '0' ? `${a} and ${b} killed the same` : `${a}: ${n} of 100 more killed than ${b}`,
  range: (low: string, high: string) => `95 %: ${low} to ${high} of 100`,
  beyond: 'more than chance',
  chance: 'could be chance',
  small: 'under three hives: too few to tell anything',
  notDealt:
    'These groups were not chosen at random. The difference may come from the hives, the weather or the year rather than the treatment.',
  dealt: (day: string) => `Assigned at random among hives of similar strength on ${date(day)}`,
  sorted: (day: string) =>
    `Sorted by hand on ${date(day)}: the difference may come from the hives rather than the treatment`,
  tooMany: 'More than six groups: choose fewer to see whether two differ.',

  fair: 'Fair comparisons',
  fairNone: 'None yet. Keeler works out how many hives you need and assigns them at random.',
  plan: 'Plan a fair comparison',
  toCompare: 'Compare',
  treatGroup: 'Make job',
  remove: 'Delete groups',
  removeSure: 'Delete groups',
  removeHint: 'What was given and counted stays; only the groups go.',

  planTitle: 'Plan a fair comparison',
  planIntro: 'How many hives you need, and which hive goes in which group.',
  howMany: 'How many hives?',
  groups: 'Groups',
  groupsUnit: 'kinds',
  groupsRange: '2 to 6 groups.',
  better: 'The better one kills',
  other: 'The other kills',
  countedBy: 'Counted by',
  kinds: { wash: 'Wash', board: 'Board' },
  bees: 'Bees in each wash',
  days: 'Days of each board',
  rateWash: 'Mites in 100 bees, before',
  rateBoard: 'Mites a day, before',
  spread: 'How alike hives respond',
  spreads: { alike: 'Very alike', usual: 'Usual', unlike: 'Not alike' },
  enough: (n: number, first: string, second: string) =>
    `${n} hives in each group can tell ${first} from ${second} % 8 times out of 10`,
  notEnough: (first: string, second: string) =>
    `Even 40 hives in each group can seldom tell ${first} from ${second} %. Count more bees, or look for a larger difference.`,
  chanceOf: 'times out of 100 the better one shows',
  perGroup: 'hives in each group',
  overWash: (n: number) => `${n} bees`,
  overBoard: (n: number) => `${n} days`,
  tried: 'Each size is simulated 300 times, with mites, kills and counts varying between hives.',

  which: 'Which hives?',
  whichHint: 'Hives of one yard, on the same days. Tap a hive to leave it out or put it back.',
  yard: 'Yard',
  name: 'Name',
  suggestion: (yard: string) => `${yard}, comparison`,
  groupName: (n: number) => `Group ${n}`,
  how: 'Who goes where',
  hows: { deal: 'At random', sort: 'I choose' },
  dealHint:
    'Assigned once, among hives of similar strength, when you save. Doing it again until it looks right would spoil it.',
  sortHint: 'Tap a hive until it is in its group.',
  each: (n: number, groups: number) =>
    n % groups === 0
      ? `${n / groups} in each group`
      : `${Math.floor(n / groups)} or ${Math.ceil(n / groups)} in each group`,
  tooFew: (n: number) => `fewer than the ${n} you need: the result may tell you nothing`,
  save: 'Assign at random',
  saveSorted: 'Save the groups',
  seams: (n: string) => `${n} seams`,
  out: 'left out',
  exposed:
    'Hives that get the worse kind keep more mites. Count again within four weeks, and treat any over the threshold.',
}
