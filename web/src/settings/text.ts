import { seasons } from '../../../words/names/yards.json'

/** Every word of the settings. */
export const text = {
  title: 'Settings',
  own: 'How you read it',
  ownHint: 'Yours alone, on every phone and browser that you sign in with.',
  sample: 'So it reads:',
  operation: (name: string) => `For all of ${name}`,
  onlyOwners: 'An owner of the operation can change these.',
  as: (what: string) => `As the operation (${what})`,
  unitsAsk: 'Weights and temperatures',
  units: { metric: 'g and °C', us: 'oz, lb and °F' },
  unitsHint: 'Acid is always weighed in grams and liquids are measured in mL, as balances and syringes read.',
  hoursAsk: 'Hours',
  hours: { '24h': '16:30', '12h': '4:30 pm' },
  datesAsk: 'Dates',
  dates: { day_month: '4 Dec 2026', month_day: 'Dec 4, 2026', iso: '2026-12-04' },
  zone: 'Time zone',
  zoneHint: 'Its days are the days of every record.',
  currency: 'Currency',
  currencyHint: 'Put before prices, such as € or $.',
  seasonsAsk: 'What you call the seasons',
  seasonsHint: 'Leave them all empty for the usual names.',
  seasons: Object.values(seasons),
  forecast: 'Weather forecast service',
  forecastHint: (server: boolean) =>
    server
      ? 'Leave it empty to use the one this server has.'
      : 'Leave it empty to type the weather of a day yourself, on Decide.',
  noForecast: 'none',
  test: 'Test it',
  testing: 'Asking…',
  works: (yard: string, days: number, range: string) =>
    `It works: today ${range}${yard && ` at ${yard}`}, and it looks ${days === 1 ? '1 day' : `${days} days`} ahead.`,
  save: 'Save',
  saved: 'Saved.',
  stale:
    'Somebody else changed these settings meanwhile. Yours are still in the form: look over what is in force now, and save again to put yours in its place.',
  inForce: 'In force now',
  balances: 'Balances',
  balancesHint:
    'What you weigh with: how finely each reads, how much it carries, from what weight on it can be trusted.',
  people: 'People, invitations and your account',
  saveBalances: 'Save balances',
}
