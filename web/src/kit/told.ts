import { date } from './day'
import { shownWind, temperature, temperatures, us, windUnit } from './format'
import { ways } from './ways'

const MONTHS = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ')
const DAY = new RegExp(`\\b(\\d{1,2}) (${MONTHS.join('|')}) (\\d{4})\\b`, 'g')
const RANGE = /(?<![\d.])(-?\d+(?:\.\d+)?) to (-?\d+(?:\.\d+)?) °C/g
const DEGREES = /(?<![\d.])(-?\d+(?:\.\d+)?) °C/g
const WIND = /(?<![\d.])((?:\d+(?:\.\d+)? to )?)(\d+(?:\.\d+)?) m\/s/g

/**
 * A sentence that Keeler wrote, with its days, temperatures and winds as they are written here.
 * The server writes them all as 4 Dec 2026, °C and m/s; what people wrote themselves is left as it is.
 */
export function told(sentence: string): string {
  const { dates } = ways()
  let out = sentence
  if (dates !== 'day_month')
    out = out.replace(DAY, (_, day: string, month: string, year: string) =>
      date(`${year}-${two(MONTHS.indexOf(month) + 1)}-${two(Number(day))}`),
    )
  if (us())
    out = out
      .replace(RANGE, (_, low: string, high: string) => temperatures(Number(low), Number(high)))
      .replace(DEGREES, (_, c: string) => temperature(Number(c)))
      .replace(WIND, (_, from: string, ms: string) => {
        const to = `${wind(ms)} ${windUnit()}`
        return from ? `${wind(parseFloat(from))} to ${to}` : to
      })
  return out
}

const wind = (ms: number | string) => Math.round(shownWind(Number(ms)))
const two = (n: number) => String(n).padStart(2, '0')
