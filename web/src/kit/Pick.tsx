import NativeSelect from '@mui/material/NativeSelect'
import type { Options } from './entries'

interface Props {
  label: string
  value: string
  options: Options
  /** What stands there while nothing is chosen; left out where something always is. */
  none?: string
  className?: string
  onChange: (value: string) => void
}

/** One of many, folded into a list. */
export function Pick({ label, value, options, none, className, onChange }: Props) {
  return (
    <NativeSelect
      className={className}
      value={value}
      inputProps={{ 'aria-label': label }}
      onChange={(e) => onChange(e.target.value)}
    >
      {none !== undefined && <option value="">{none}</option>}
      {Object.entries(options).map(([key, name]) => (
        <option key={key} value={key}>
          {name}
        </option>
      ))}
    </NativeSelect>
  )
}

/** What has an id and a name, as options. */
export const named = (of: readonly { id: string; name: string }[] = []): Options =>
  Object.fromEntries(of.map(({ id, name }) => [id, name]))
