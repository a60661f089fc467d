import type { Schemas } from '../../api/client'
import { date } from '../../shell/day'
import { plain, seams as fraction, tenths } from '../../units/format'

type Reason = Schemas['Reason']

const ago = (age: number) =>
  age < 0 ? '' : age === 0 ? 'seen today' : age === 1 ? 'seen the day before' : `seen ${age} days before`
const fig = (r: Reason, i: number) => tenths(r.figures?.[i] ?? 0)

const daysOf = (n: number) => (n === 1 ? '1 day' : `${n} days`)
const days = (r: Reason, i: number) => daysOf(Math.round(r.figures?.[i] ?? 0))

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
  brood_old: (r) => [
    `An inspection without brood holds ${fig(r, 0)} days; this one is older.`,
    'Look again.',
  ],
  brood_soon: (r) => [
    `No sealed brood then, but eggs or larvae may be capped by now, and surely after ${fig(r, 0)} days.`,
    'Go soon, or look again.',
  ],
  broodless: () => ['No sealed brood.'],
  dribbled_already: () => [
    'Dribbled already in this broodless time. A second dribble harms the same bees.',
    'Count first: if it is still over the threshold, choose another method.',
  ],
  vaporised_already: () => [
    'Oxalic acid was vaporised in this broodless time: doses of the same acid add up on the same bees.',
    'Count first: if it is still over the threshold, choose another method.',
  ],
  dribbled_this_winter: () => [
    'Dribbled earlier in this winter. The same bees live until spring.',
    'Count first, and give it only if the count is over the threshold.',
  ],
  repeat: (r) => [`The label's dose ${fig(r, 0)} of ${fig(r, 1)}.`],
  repeat_early: (r) => [`The label asks for ${days(r, 0)} more between its doses.`, 'Wait for that day.'],
  strips_just_out: (r) => [
    `Strips came out ${days(r, 0)} ago: their acid is still on the bees.`,
    'Wait until they have been out for two weeks.',
  ],
  formic_just_given: (r) => [
    `Formic acid was given ${days(r, 0)} ago.`,
    'Leave a week between the two acids.',
  ],
  oxalic_just_given: (r) => [
    `Oxalic acid was given ${days(r, 0)} ago.`,
    'Leave a week between the two acids.',
  ],
  course_next: (r) => [`Visit ${fig(r, 0)} of ${fig(r, 1)}, ${days(r, 2)} after the last.`],
  course_late: (r) => [
    `Visit ${fig(r, 0)} of ${fig(r, 1)} is late: ${days(r, 2)} after the last. Mites have come out between.`,
    'Go soon.',
  ],
  course_early: (r) => [
    `The last visit was ${days(r, 1)} ago: ${days(r, 0)} too early for the next.`,
    'Wait for that day.',
  ],
  overdue: (r) => [
    `${r.figures?.[2] === 1 ? 'Strips are' : r.figures?.[2] === 2 ? 'Pads are' : 'A treatment is'} ${days(r, 0)} overdue, in for ${days(r, 1)}.`,
    'Take them out: what lingers too weak breeds mites that bear it.',
  ],
  in_job: (r) => [
    `Already in the open job ${r.words ?? ''}, for ${date(r.on ?? '')}.`,
    'Leave it to that job, or cancel that one first.',
  ],
  in_other_job: (r) => [
    `Also in the open job ${r.words ?? ''}, for ${date(r.on ?? '')}.`,
    'See that the two do not meet.',
  ],
  changed_joined: () => ['Bees were joined to it since it was looked at.', 'Look again: both count now.'],
  changed_split: () => ['It was split since it was looked at.', 'Look again.'],
  changed_swarmed: () => ['It swarmed since it was looked at.', 'Look again.'],
  changed_boxes: () => ['A box was taken or given since it was looked at.', 'Look again.'],
  changed_queen: () => ['Its queen changed since it was looked at.', 'Look again.'],
  too_small: (r) => [
    `${fraction(r.figures?.[0] ?? 0)} seams: too small to treat, it cannot keep itself warm.`,
    'Unite it with a healthy one, then treat the whole.',
  ],
  break_early: (r) => [
    `The queen stopped ${daysOf(r.age)} ago: brood is still sealed.`,
    `Wait until ${date(r.from ?? '')}, when drones are out, too.`,
  ],
  break_drones: (r) => [
    'Worker brood is out, drone brood may not be.',
    `From ${date(r.from ?? '')} drones are out, too.`,
  ],
  break_look: (r) => [
    `In its break without brood${r.to ? `, until ${date(r.to)}` : ''}; nobody has looked since it began.`,
    'Look at the combs first.',
  ],
  break_window: (r) => [`In its break without brood${r.to ? `, until ${date(r.to)}` : ''}.`],
  withdrawal: (r) => [
    `${plain(r.figures?.[1] ?? 0)} on the hive: no honey from it for ${days(r, 0)} after, until ${date(r.to ?? '')}.`,
    'Take the supers off first, or leave that honey to the bees.',
  ],
  no_season: () => [
    'So near the equator no season tells whether there is brood.',
    'Choose what it is judged by, above.',
  ],
  course_cold: (r) => [
    `Too cold to evaporate on ${fig(r, 0)} of the ${fig(r, 1)} days it works.`,
    'Wait for warmer days.',
  ],
  course_cool: (r) => [
    `Too cold to evaporate on ${fig(r, 0)} of the ${fig(r, 1)} days it works.`,
    'A warmer spell does more.',
  ],
  course_warm: (r) => [
    `Too warm on ${fig(r, 0)} of the ${fig(r, 1)} days it works.`,
    'A cooler spell is kinder.',
  ],
  walk_cold: (r) => [
    `Warm enough for bees to walk over the strips on only ${fig(r, 0)} of the ${fig(r, 1)} days known.`,
    'Wait for warmer days: a cluster does not spread the acid.',
  ],
  night_frost: (r) => [
    `${fig(r, 0)} °C in the night after: wet bees in deep frost.`,
    'A milder night is kinder.',
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
    vaporised_already: 'vaporised already',
    dribbled_this_winter: 'dribbled this winter',
    repeat_early: 'too early again',
    strips_just_out: 'strips just out',
    formic_just_given: 'formic just given',
    oxalic_just_given: 'oxalic just given',
    course_next: 'next of its course',
    course_late: 'course is late',
    course_early: 'next visit later',
    overdue: 'overdue',
    in_job: 'in a job',
    in_other_job: 'in another job',
    changed_joined: 'bees joined',
    changed_split: 'split since',
    changed_swarmed: 'swarmed since',
    changed_boxes: 'boxes changed',
    changed_queen: 'queen changed',
    too_small: 'unite it',
    break_early: 'brood still sealed',
    break_drones: 'drones still sealed',
    break_look: 'look for brood',
    withdrawal: 'honey must wait',
    no_season: 'which season?',
    course_cold: 'too cold after',
    course_cool: 'cool days after',
    course_warm: 'warm days after',
    walk_cold: 'too cold to walk',
    night_frost: 'deep frost',
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
    count_again: 'count again',
    again: 'a second count would tell more',
  },
  head: { hive: 'Hive', mites: 'Mites' },
  protocols: {
    '': 'as usual',
    winter: 'winter, 0 to 10 °C',
    'winter-tight': 'tight cluster, 0 to 5 °C',
    'winter-loose': 'loose cluster, 5 to 10 °C',
    'in-season': 'in season, broodless',
    strips: 'strips, 6 to 8 weeks',
    'formic-bottle': 'formic acid from a bottle',
    formic: 'formic acid, 10 to 29 °C',
  } as Record<string, string>,
  over: (n: number) =>
    n === 1
      ? 'One is over the threshold: treat the whole yard.'
      : `${n} are over the threshold: treat the whole yard.`,
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
    'These do not fit, or are in another open job. Untick them, or say why it is done all the same; the reason stays in the record.',
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
  doneOf: (n: number, all: number) => `${n} of ${all} done`,
  isOpen: 'Open',
  lapsed: 'Over: past its days',
  ended: { finished: 'Finished', cancelled: 'Cancelled' } as Record<string, string>,
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
