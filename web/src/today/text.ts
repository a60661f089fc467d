import { date, hour, temperature } from '../kit'

/** Every word of Today. */
export const text = {
  oldBackup: (on: string | undefined, days: number) =>
    on
      ? `The last good backup was made ${days} days ago, on ${on}. Tell whoever runs your Keeler.`
      : 'There is no good backup yet. Tell whoever runs your Keeler.',
  harm: 'Before anything else',
  late: 'Late',
  now: 'Now',
  next: 'Next',
  showAll: (n: number) => `Show all ${n}`,
  nothing: 'Nothing to do today. To see what each hive needs, and when, go to',
  noHives: 'No hives yet. Start by adding a yard.',
  toDecide: 'Decide',
  toYards: 'Go to Yards',
  sky: ({ yard, temp_c, wind_ms, rain, dry_until }: Now) =>
    [
      `${temperature(temp_c)} at ${yard}`,
      wind_ms < 2 ? 'still' : wind_ms < 6 ? 'a breeze' : 'windy',
      rain ? 'rain' : dry_until ? `dry until ${hour(dry_until)}` : 'dry',
    ].join(', '),
  lastDay: (day: string) => `last day ${date(day)}`,
  lookedAt: { open: 'I have looked at it', ask: 'What happened?', yes: 'Save', hint: '' },
  acts: {
    double_dose: 'See the register',
    batch_wrong: 'See the register',
    treat: 'Decide',
    count: 'Count',
    count_more: 'Count',
    count_again: 'Count',
    look_in: 'Look in',
    use_up: 'Go to batch',
    throw_out: 'Go to batch',
    lot_ends: 'Go to lot',
    lot_over: 'Go to lot',
  },
  week: 'This week',
  weekSub: 'prints on one page',
  weekEmpty: 'Nothing planned this week.',
  job: (title: string, hives: number) => `${title} · ${hives === 1 ? '1 hive' : `${hives} hives`}`,
  mix: 'Mix first',
  along: 'Take along',
  boards: (n: number) => (n === 1 ? '1 clean board' : `${n} clean boards`),
  units: { ml: 'mL', g: 'g', pieces: 'pieces' },
  ends: 'Going out of date',
  print: 'Print',
  together: (from: string, to: string) => `Everyone treats together, ${date(from)} to ${date(to)}`,
  share: (done: number, planned: number, hives: number) =>
    `${done} of ${hives} done${planned ? `, ${planned} planned` : ''}`,
  setTogether: 'Set a fortnight for all yards to treat',
  changeTogether: 'Change the fortnight',
  togetherFrom: 'First day',
  togetherWhy: 'Mites drift between yards: treat alone and you get them back from your neighbours.',
  noTogether: 'Remove fortnight',
  save: 'Save',
  notMixed: '· Not mixed yet:',
  mixIt: 'mix first',
  band: 'The weeks, yard by yard',
  today: 'now',
  windows: 'green: suitable weather',
  all: (n: number) => `Show all ${n} yards`,
  mark: (title: string, hives: number, day: string) =>
    `${title}, ${hives === 1 ? '1 hive' : `${hives} hives`}, ${date(day)}`,
  bar: (hives: number, from: string, to: string) =>
    `In ${hives === 1 ? '1 hive' : `${hives} hives`} since ${date(from)}, out by ${date(to)}`,
}

interface Now {
  yard: string
  temp_c: number
  wind_ms: number
  rain?: boolean
  dry_until?: number
}
