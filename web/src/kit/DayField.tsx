import FormHelperText from '@mui/material/FormHelperText'
import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs'
import { DesktopDatePicker } from '@mui/x-date-pickers/DesktopDatePicker'
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider'
import dayjs, { type Dayjs } from 'dayjs'
import 'dayjs/locale/en-gb'
import { useState } from 'react'
import styles from './PickDay.module.css'
import { useFault } from './faults'
import shared from './kit.module.css'
import { text } from './text'
import { useStart } from './useStart'
import { ways } from './ways'

export interface DayProps {
  label: string
  /** Such as 2026-12-04; empty for none, and something else for what is no day. */
  value: string
  path?: string
  hint?: string
  /** The first and the last day that can be picked. */
  min?: string
  max?: string
  onChange: (day: string) => void
}

const FORMATS = { day_month: 'D MMM YYYY', month_day: 'MMM D, YYYY', iso: 'YYYY-MM-DD' }

const written = (day: Dayjs | null) => (!day ? '' : day.isValid() ? day.format('YYYY-MM-DD') : text.noDay)
const read = (day: string) => (day === '' ? null : dayjs(day, 'YYYY-MM-DD'))

/** A day, typed or picked from a month; one that the calendar does not have is told as such. */
export default function DayField({ label, value, path, hint, min, max, onChange }: DayProps) {
  // What stands in the field while it is no day yet is the field's own.
  const [held, hold] = useState(() => read(value))
  const [typing, setTyping] = useState(false)
  const { dates } = ways()
  const fault = useFault(path)
  // The demo's today is not the browser's.
  const reference = useStart().now.slice(0, 10)
  const none = value === text.noDay && !typing ? text.noSuchDay : undefined
  const below = none ?? (value === text.noDay ? undefined : fault) ?? hint
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs} adapterLocale={dates === 'month_day' ? 'en' : 'en-gb'}>
      <div
        className={shared.field}
        data-path={path}
        data-day-field
        onFocus={(e) => setTyping(e.target.role === 'spinbutton')}
        onBlur={() => setTyping(false)}
      >
        <DesktopDatePicker
          label={label}
          className={styles.day}
          value={value === written(held) ? held : read(value)}
          format={FORMATS[dates]}
          referenceDate={dayjs(reference)}
          disableHighlightToday
          minDate={min ? dayjs(min) : undefined}
          maxDate={max ? dayjs(max) : undefined}
          onChange={(day) => {
            hold(day)
            onChange(written(day))
          }}
          slotProps={{
            textField: { variant: 'standard', fullWidth: true, error: below !== undefined && below !== hint },
            openPickerButton: { 'aria-label': text.pickDay(label) },
          }}
        />
        {below && <FormHelperText error={below !== hint}>{below}</FormHelperText>}
      </div>
    </LocalizationProvider>
  )
}
