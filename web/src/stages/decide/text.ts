import type { Schemas } from '../../api/client'
import { plain, seams as fraction, tenths } from '../../units/format'

type Reason = Schemas['Reason']

const ago = (age: number) =>
  age < 0 ? '' : age === 0 ? 'seen today' : age === 1 ? 'seen the day before' : `seen ${age} days before`
const fig = (r: Reason, i: number) => tenths(r.figures?.[i] ?? 0)

/** Each reason in a sentence, and what would change it. */
const REASONS: Record<string, (r: Reason) => [why: string, change?: string]> = {
  no_bees: () => ['No bees were seen in it.', 'Look or listen again: a quiet cluster can sit low.'],
  seams_unseen: () => ['Nobody has counted its seams.', 'Count them: the dose goes by them.'],
  seams_old: () => ['Its seams were counted long ago.', 'Count them again on the day.'],
  brood_unseen: () => ['Nobody has looked for sealed brood.', 'Look at the middle combs first.'],
  brood_present: (r) => [
    `Sealed brood: ${r.figures?.[0] === 2 ? 'much' : 'little'}. Mites under caps are not reached.`,
    'Wait until it has emerged, three weeks after the queen stops; or take a method that reaches through brood.',
  ],
  brood_may_be_gone: () => ['There was sealed brood, which may have emerged since.', 'Look again.'],
  brood_old: (r) => [`A look without brood holds ${fig(r, 0)} days; this one is older.`, 'Look again.'],
  brood_soon: (r) => [
    `No sealed brood then; cells may be capped by now, and surely after ${fig(r, 0)} days.`,
    'Go soon, or look again.',
  ],
  broodless: () => ['No sealed brood.'],
  dribbled_already: (r) => [
    r.figures?.[0] === 1
      ? 'Dribbled already in this winter. A second dribble harms the same bees.'
      : 'Dribbled within the last six weeks. A second dribble harms the same bees.',
    'Count first: if it is still over the line, choose another method.',
  ],
  same_still_in: () => ['The last ones are still in the hive.', 'Take them out first.'],
  other_still_in: () => [
    'Another treatment is in the hive: what bees take up adds up.',
    'Take it out first, or wait.',
  ],
  supers_on: (r) => [
    `${plain(r.figures?.[0] ?? 0)} ${r.figures?.[0] === 1 ? 'super' : 'supers'} for harvest on the hive.`,
    'Take them off first.',
  ],
  supers_label: () => [
    'Supers for harvest are on.',
    'Some labels allow that, many keepers do not: ask the label in hand.',
  ],
  supers_unseen: () => ['Nobody has noted whether supers for harvest are on.', 'Look, and note it.'],
  supers_old: () => ['It was long ago that no supers were on.', 'Look again.'],
  for_honey: () => [
    'It makes honey for people; this label is for others only.',
    'Take it out of honey production, or choose another.',
  ],
  for_honey_permit: () => [
    'It makes honey for people; some permits cover only hives that do not.',
    'Read the permit.',
  ],
  stores_unseen: () => ['Nobody has hefted it: hungry bees drink syrup.', 'Heft it first.'],
  stores_light: () => [
    'Light: hungry bees would drink the syrup.',
    'Feed it first, and do not dribble it now.',
  ],
  stores_arch: () => ['Light: stores should arch over the brood, under the vapour.', 'Feed it first.'],
  stores_old: () => ['It was hefted long ago.', 'Heft it again on the day.'],
  queenless: () => ['No queen.', 'Unite or requeen first; treating alone does not save it.'],
  queen_young: () => [
    'The queen is new: vapour takes young queens first.',
    'Wait until she has laid for a month.',
  ],
  queen_unseen: () => ['The queen was not seen.', 'Look for eggs before, and a week after.'],
  nuc_room: () => [
    'A nuc: too little room above the brood for vapour.',
    'Only if the label gives a dose for nucs.',
  ],
  heat: (r) => [
    `${fig(r, 0)} °C comes within ${fig(r, 2)} days: above ${fig(r, 1)} °C queens and brood die.`,
    'Wait for a cooler spell.',
  ],
  heat_unknown: (r) => [
    `The forecast does not reach the first ${fig(r, 0)} days.`,
    'Look again nearer the day.',
  ],
  no_forecast: () => ['No forecast for that day.', 'Read the thermometer and the sky in the yard.'],
  too_cold: (r) => [
    `Too cold: ${fig(r, 0)} to ${fig(r, 1)} °C; it takes ${fig(r, 2)} to ${fig(r, 3)} °C.`,
    'Another day below.',
  ],
  too_warm: (r) => [
    `Too warm: ${fig(r, 0)} to ${fig(r, 1)} °C; it takes ${fig(r, 2)} to ${fig(r, 3)} °C.`,
    'Another day below.',
  ],
  windy: () => ['Too windy to open hives.', 'Another day below.'],
  rainy: () => ['Rain.', 'Another day below.'],
  window_fair: (r) => [`${fig(r, 0)} °C: it can be done, best is ${fig(r, 1)} to ${fig(r, 2)} °C.`],
  window_good: (r) => [`${fig(r, 0)} °C, dry and still enough.`],
}

/** The words of the Decide screen. */
export const text = {
  title: 'Which hive needs what',
  forDay: (day: string) => `For ${day}`,
  crew: 'People',
  none: 'No yards yet: add a yard and its hives, look in and count; then Keeler can judge.',
  toYards: 'To the yards',
  methods: { dribble: 'Dribble', strip: 'Strips', pad: 'Formic acid' },
  verdicts: {
    fits: 'fits',
    with_care: 'with care',
    look_first: 'look first',
    does_not_fit: 'does not fit',
    must_not: 'must not',
  },
  brief: {
    no_bees: 'no bees seen',
    seams_unseen: 'count its seams',
    seams_old: 'old count of seams',
    brood_unseen: 'look for brood',
    brood_present: 'sealed brood',
    brood_may_be_gone: 'brood then',
    brood_old: 'brood, long ago',
    brood_soon: 'brood soon',
    dribbled_already: 'dribbled already',
    same_still_in: 'still in',
    other_still_in: 'another is in',
    supers_on: 'supers on',
    supers_label: 'supers on',
    supers_unseen: 'supers?',
    supers_old: 'supers?',
    for_honey: 'makes honey',
    for_honey_permit: 'makes honey',
    stores_unseen: 'heft it',
    stores_light: 'light',
    stores_arch: 'light',
    stores_old: 'heft it again',
    queenless: 'no queen',
    queen_young: 'new queen',
    queen_unseen: 'queen not seen',
    nuc_room: 'a nuc',
    heat: 'harmful heat',
    heat_unknown: 'forecast ends',
    no_forecast: 'no forecast',
    too_cold: 'too cold',
    too_warm: 'too warm',
    windy: 'wind',
    rainy: 'rain',
    window_fair: 'not the best of it',
  } as Record<string, string>,
  need: {
    treat: 'treat',
    with_yard: 'with the yard',
    watch: 'watch',
    none: 'nothing now',
    count: 'count',
    count_anew: 'count anew',
  },
  head: { hive: 'Hive', mites: 'Mites' },
  schools: {
    '': 'as usual',
    winter: 'winter, 0 to 10 °C',
    'winter-tight': 'tight cluster, 0 to 5 °C',
    'winter-loose': 'loose cluster, 5 to 10 °C',
    'in-season': 'in season, broodless',
    strips: 'strips, 6 to 8 weeks',
    formic: 'formic acid, 10 to 29 °C',
  } as Record<string, string>,
  over: (n: number) =>
    n === 1
      ? 'One is over the line: the whole yard is treated.'
      : `${n} are over the line: the whole yard is treated.`,
  noForecast: 'No forecast: read the thermometer and the sky in the yard.',
  seams: (n: number) => `${fraction(n)} seams`,
  windows: (method: string) => `Windows for ${method}, next ten days`,
  today: 'today',
  hours: (from: number, to: number) => `${from}–${to} h`,
  takes: (n: number) => `${n} hives`,
  why: {
    too_cold: 'too cold',
    too_warm: 'too warm',
    windy: 'wind',
    rainy: 'rain',
    heat: 'harmful heat',
    '': 'no forecast',
  } as Record<string, string>,
  best: 'best',
  degrees: (low: number, high: number) => `${Math.round(low)} to ${Math.round(high)} °C`,
  chooseMethod: (method: string) => `Choose hives for ${method}`,
  tickAll: 'Tick all that fit',
  untick: 'Untick all',
  reason: (r: Reason): { why: string; change: string | undefined; datum: string } => {
    const [why, change] = REASONS[r.code]?.(r) ?? [r.code]
    const when = ago(r.age)
    return {
      why,
      change,
      datum: r.source === 'inspection' ? when : r.source === 'record' ? when.replace('seen', 'given') : '',
    }
  },

  // The job.
  job: 'Job',
  jobEmpty: 'Tick the hives to treat, by the method whose column is chosen.',
  hives: (n: number) => (n === 1 ? '1 hive' : `${n} hives`),
  jobName: 'Call it',
  rule: 'Which rule do you work under?',
  ruleHint: 'Asked once for the job, and printed on every docket. Keeler does not know your law.',
  rules: [
    ['label', 'A registered product, by its label'],
    ['permit', 'A prescription or permit'],
    ['own', 'Own mixture, where that is allowed'],
  ] as const,
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
    'These do not fit. Untick them, or say why it is done all the same; the reason stays in the record.',
  overrideWhy: 'Why all the same?',
  make: 'Make the job',
  making: 'Making it…',
  under: 'Judged by',
  cards: 'Label cards',
  jobs: 'Jobs made',
  goRound: 'Go round',
  mixDay: (day: string) => `Mix for ${day}`,
  toDecide: '‹ Decide',
  madeOn: (day: string) => `Made ${day}`,
  override: 'All the same, because',
  print: 'Print',
  people: (n: number) => (n === 1 ? 'one person' : `${n} people`),
  suggestion: (yard: string, method: string) => `${yard}, ${method.toLowerCase()}`,
}
