import { date } from './day'
import { temperature, us, temperatures } from './format'
import { ways } from './ways'

const MONTHS = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ')
const DAY = new RegExp(`\\b(\\d{1,2}) (${MONTHS.join('|')}) (\\d{4})\\b`, 'g')
const RANGE = /(?<![\d.])(-?\d+(?:\.\d+)?) to (-?\d+(?:\.\d+)?) °C/g
const DEGREES = /(?<![\d.])(-?\d+(?:\.\d+)?) °C/g

/**
 * A sentence that Keeler wrote, with its days and temperatures as they are written here. The
 * server writes them all as 4 Dec 2026 and °C; what people wrote themselves is left as it is.
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
  return out
}

const two = (n: number) => String(n).padStart(2, '0')
