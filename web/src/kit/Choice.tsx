import FormHelperText from '@mui/material/FormHelperText'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { useFault } from './faults'
import styles from './kit.module.css'

interface Props<T extends string> {
  label: string
  value: T | ''
  options: Readonly<Record<T, string>>
  onChange: (value: T) => void
  path?: string
  columns?: number
}

/** A few choices side by side, of which one holds. */
export function Choice<T extends string>({ label, value, options, onChange, path, columns = 2 }: Props<T>) {
  const fault = useFault(path)
  return (
    <div data-path={path}>
      <ToggleButtonGroup
        exclusive
        fullWidth
        aria-label={label}
        value={value}
        className={styles.choice}
        sx={{ flexWrap: 'wrap', '--columns': columns }}
        onChange={(_, chosen: T | null) => {
          if (chosen !== null) onChange(chosen)
        }}
      >
        {Object.entries<string>(options).map(([key, name]) => (
          <ToggleButton key={key} value={key}>
            {name}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {fault && <FormHelperText error>{fault}</FormHelperText>}
    </div>
  )
}
