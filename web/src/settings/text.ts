import { seasons } from '../../../words/names/yards.json'

/** Every word of the settings. */
export const text = {
  title: 'Settings',
  own: 'How you want to see it',
  ownHint: 'For you only, on every phone and browser you sign in on.',
  sample: 'Example:',
  operation: (name: string) => `For everyone in ${name}`,
  onlyOwners: 'Only an owner can change these.',
  as: (what: string) => `Same as everyone (${what})`,
  unitsAsk: 'Weights and temperatures',
  units: { metric: 'g and °C', us: 'oz, lb and °F' },
  unitsHint: 'Acid is always weighed in grams and liquids are measured in mL, as balances and syringes read.',
  hoursAsk: 'Hours',
  hours: { '24h': '16:30', '12h': '4:30 pm' },
  datesAsk: 'Dates',
  dates: { day_month: '4 Dec 2026', month_day: 'Dec 4, 2026', iso: '2026-12-04' },
  zone: 'Time zone',
  zoneHint: 'Dates in all records follow it.',
  currency: 'Currency',
  currencyHint: 'Shown before prices, such as € or $.',
  seasonsAsk: 'What you call the seasons',
  seasonsHint: 'Leave all empty for the usual names.',
  seasons: Object.values(seasons),
  forecast: 'Weather forecast service',
  forecastHint: (server: boolean) =>
    server ? 'Leave empty to use the server’s own.' : 'Leave empty to enter the weather yourself on Decide.',
  noForecast: 'none',
  test: 'Test',
  testing: 'Asking…',
  works: (yard: string, days: number, range: string) =>
    `It works: ${range} today${yard && ` at ${yard}`}, and it looks ${days === 1 ? '1 day' : `${days} days`} ahead.`,
  save: 'Save',
  saved: 'Saved.',
  stale:
    'Somebody else changed these settings in the meantime. Your changes are still in the form: compare them with what is set now, and save again to replace it.',
  inForce: 'Set now',
  balances: 'Balances',
  balancesHint:
    'What you weigh with: how finely each reads, how much it can take, and the least it weighs reliably.',
  people: 'People, invitations and your account',
  saveBalances: 'Save balances',
}
