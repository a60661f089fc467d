import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { METHODS } from './facts'
import { Mark } from '../drawing/Mark'
import type { Method } from './kind'
import styles from './MethodPicker.module.css'
import { text } from './text'

/** The method, by its shape and colour. */
export function MethodPicker({ method, onChoose }: { method: Method; onChoose: (method: Method) => void }) {
  return (
    <ToggleButtonGroup
      exclusive
      fullWidth
      aria-label={text.method}
      value={method}
      className={styles.methods}
      onChange={(_, chosen: Method | null) => {
        if (chosen !== null) onChoose(chosen)
      }}
    >
      {METHODS.map((m) => (
        <ToggleButton key={m} value={m} data-choose={m}>
          <Mark method={m} />
          {text.methods[m]}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  )
}
