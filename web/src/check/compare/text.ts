import decide from '../../../../words/names/decide.json'
import { methods } from '../../../../words/names/kit.json'
import strip from '../../../../words/names/strip.json'
import { date } from '../../kit'

/** Every word of comparisons. */
export const text = {
  title: 'Compare',
  intro: 'Treatments held against each other, all told by the same kind of count.',
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
  ofMethod: 'Of method',
  ofYard: 'Of yard',
  ofJob: 'This job alone',
  allJobs: 'All jobs',
  methods,
  keys: { ...methods, ...decide.protocols, ...strip.carriers, strips: decide.protocols.strips } as Record<
    string,
    string
  >,
  killed: 'Mites killed',
  basis: {
    fall: 'by what fell, with a second treatment to tell what was left',
    wash: 'by washes before and after',
    board: 'by boards before and after',
  },
  otherBasis: {
    fall: 'told by what fell: not held against the others',
    wash: 'told by washes: not held against the others',
    board: 'told by boards: not held against the others',
  },
  hives: (n: number) => (n === 1 ? '1 hive' : `${n} hives`),
  told: (told: number, all: number) =>
    told === all ? (all === 1 ? '1 hive' : `${all} hives`) : `${told} of ${all} hives`,
  few: 'few hives',
  notTold: 'not counted before and after',
  nothingGiven: 'nothing given yet',
  none: 'Nothing to compare yet. It takes hives that were treated and counted before and after.',
  apart: 'Is it more than chance?',
  apartNote: (pairs: number) =>
    pairs > 1
      ? `Of ${pairs} pairs one may stand out by chance alone, so each must stand out further.`
      : 'By 95 % intervals.',
  more: (a: string, b: string, n: string) =>
    n === '0' ? `${a} and ${b} killed alike` : `${a}: ${n} of 100 more killed than ${b}`,
  range: (low: string, high: string) => `95 %: ${low} to ${high} of 100`,
  beyond: 'more than chance',
  chance: 'could be chance',
  small: 'under three hives: how hives differ is not known, so nothing can be told',
  notDealt:
    'These groups were not dealt by chance. What differs may be the hives, the weather or the year, and not the treatment.',
  dealt: (day: string) => `Dealt by chance within like strength on ${date(day)}`,
  sorted: (day: string) =>
    `Sorted by hand on ${date(day)}: what differs may be the hives, and not the treatment`,
  tooMany: 'More than six groups: take fewer to see whether two differ.',

  fair: 'Fair comparisons',
  fairNone: 'None has been made. Keeler works out how many hives it takes, and deals them by chance.',
  plan: 'Plan a fair one',
  toCompare: 'Compare',
  treatGroup: 'Make its job',
  remove: 'Forget these groups',
  removeSure: 'Forget them',
  removeHint: 'What was given and counted stays; only the groups go.',

  planTitle: 'Plan a fair comparison',
  planIntro: 'How many hives it takes, and which hive goes to which group.',
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
  spread: 'How alike hives answer',
  spreads: { alike: 'Much alike', usual: 'As usual', unlike: 'Unlike' },
  enough: (n: number, first: string, second: string) =>
    `${n} hives in each group tell ${first} from ${second} % in 8 tries of 10`,
  notEnough: (first: string, second: string) =>
    `Even 40 hives in each group seldom tell ${first} from ${second} %. Count more bees, or look for a larger difference.`,
  chanceOf: 'tries of 100 that tell the better one',
  perGroup: 'hives in each group',
  overWash: (n: number) => `${n} bees`,
  overBoard: (n: number) => `${n} days`,
  tried: 'Each size is tried 300 times: mites differ between hives, kills differ, counts are by chance.',

  which: 'Which hives?',
  whichHint: 'Hives of one yard, on the same days. Press a hive to leave it out or take it in.',
  yard: 'Yard',
  name: 'Name',
  suggestion: (yard: string) => `${yard}, comparison`,
  groupName: (n: number) => `Group ${n}`,
  how: 'Who goes where',
  hows: { deal: 'By chance', sort: 'I sort them' },
  dealHint:
    'Dealt once, within like strength, when you save it. To deal again until it looks right would undo the chance.',
  sortHint: 'Press a hive until it stands in its group.',
  each: (n: number, groups: number) =>
    n % groups === 0
      ? `${n / groups} in each group`
      : `${Math.floor(n / groups)} or ${Math.ceil(n / groups)} in each group`,
  tooFew: (n: number) => `fewer than the ${n} that it takes: what you find may tell nothing`,
  save: 'Deal them',
  saveSorted: 'Save the groups',
  seams: (n: string) => `${n} seams`,
  out: 'left out',
  exposed:
    'Whoever gets the worse kind keeps more mites. Count again within four weeks, and treat what stands over the threshold.',
}
