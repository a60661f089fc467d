import type { Schemas } from '../api/client'
import { type Entry, type Options, type Panel } from '../kit'
import { text } from './text'

type Form = Pick<Schemas['Writes'], 'units' | 'hours' | 'dates'>

/** How figures and days are written: what is asked of each. */
const ASKED: Record<keyof Form, { label: string; options: Options; hint?: () => string }> = {
  units: { label: text.unitsAsk, options: text.units, hint: () => text.unitsHint },
  hours: { label: text.hoursAsk, options: text.hours },
  dates: { label: text.datesAsk, options: text.dates },
}

const entries = (wider: (of: keyof Form, options: Options) => Options): Entry<keyof Form>[] =>
  Object.entries(ASKED).map(([of, ask]) => ({
    of: of as keyof Form,
    ...ask,
    options: wider(of as keyof Form, ask.options),
    titled: true,
    columns: Object.keys(ask.options).length,
  }))

/** The same as a person would have it: as the operation, or otherwise. */
export const ownPanel = (operation: Form): Panel<keyof Form> => ({
  title: '',
  entries: entries((of, options) => ({ '': text.as(options[operation[of]] ?? ''), ...options })).map((e) => ({
    ...e,
    columns: e.of === 'dates' ? 2 : 3,
  })),
})

const here = Intl.DateTimeFormat().resolvedOptions().timeZone

/** What is set for the operation; the seasons are asked beside it. */
export const operationPanel = (now: Schemas['Settings']): Panel<OperationKey> => ({
  title: '',
  entries: [
    {
      of: 'time_zone',
      label: text.zone,
      list: true,
      hint: () => text.zoneHint,
      options: Object.fromEntries(
        [...new Set([now.time_zone, here, 'UTC', ...Intl.supportedValuesOf('timeZone')])].map((z) => [z, z]),
      ),
    },
    ...entries((_, options) => options),
    { of: 'currency', as: 'words', label: text.currency, most: 8, hint: () => text.currencyHint },
    { of: 'holder', as: 'words', label: text.holder, most: 120, hint: () => text.holderHint },
    { of: 'holder_address', as: 'words', label: text.holderAddress, most: 300 },
    { of: 'holder_no', as: 'words', label: text.holderNo, most: 60 },
    { of: 'forecast', as: 'words', label: text.forecast, hint: () => text.forecastHint(now.forecasts) },
  ],
})

export type OperationKey =
  keyof Form | 'time_zone' | 'currency' | 'holder' | 'holder_address' | 'holder_no' | 'forecast'
