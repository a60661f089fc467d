import { client, type Schemas } from '../api/client'
import {
  begin,
  date,
  degreeUnit,
  Form,
  type Panel,
  plain,
  shownDegrees,
  shownWind,
  stale,
  tenths,
  toCelsius,
  toWind,
  type Typed,
  useSaving,
  useTyped,
  windUnit,
} from '../kit'
import styles from './Expected.module.css'
import { text } from './text'

const KEYS = ['low_c', 'high_c', 'wind_ms', 'rain_mm'] as const
type Key = (typeof KEYS)[number]

const panel = (): Panel<Key> => ({
  title: '',
  entries: [
    { of: 'low_c', label: text.expectLow, unit: degreeUnit() },
    { of: 'high_c', label: text.expectHigh, unit: degreeUnit() },
    { of: 'wind_ms', label: text.expectWind, unit: windUnit() },
    { of: 'rain_mm', label: text.expectRain, unit: 'mm' },
  ],
})

const told = (e: Schemas['Expected'] | undefined): Typed<Key> =>
  e
    ? {
        low_c: tenths(shownDegrees(e.low_c)),
        high_c: tenths(shownDegrees(e.high_c)),
        wind_ms: tenths(shownWind(e.wind_ms)),
        rain_mm: plain(e.rain_mm),
      }
    : {}

interface Props {
  day: string
  /** Those of whose weather nobody tells, or the keeper did. */
  yards: readonly Schemas['DecideYard'][]
}

/** What weather the keeper expects, where no service tells of the day. */
export function Expected({ day, yards }: Props) {
  const is = yards.find((y) => y.expected)?.expected
  const form = useTyped(panel(), { ...begin([panel()], {}), ...told(is) })
  const saving = useSaving(
    async () => {
      const typed = form.body as Partial<Schemas['Expected']>
      return client.PUT('/api/weather', {
        body: {
          day,
          yards: yards.map((y) => y.id),
          low_c: toCelsius(typed.low_c ?? NaN),
          high_c: toCelsius(typed.high_c ?? NaN),
          wind_ms: toWind(typed.wind_ms ?? NaN),
          rain_mm: typed.rain_mm ?? NaN,
        },
      })
    },
    () => stale('decide', 'check'),
  )
  return (
    <section className={styles.expected} data-expected={day}>
      <p>{is ? text.expected(date(day)) : text.noForecast(date(day), yards.map((y) => y.name).join(', '))}</p>
      <Form
        className={styles.form}
        form={form}
        saving={saving}
        save={text.expect}
        mark="weather"
        quiet
        // What nobody said is not taken for calm and dry.
        unfinished={KEYS.some((of) => !form.typed[of]?.trim())}
        onSave={() => saving.save()}
      />
    </section>
  )
}
