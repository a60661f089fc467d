import InputBase from '@mui/material/InputBase'
import { useFault } from './faults'
import styles from './Blank.module.css'

interface Props {
  label: string
  path: string
  value: string
  /** Words, and no figure. */
  words?: boolean
  onChange: (text: string) => void
}

/** A figure filled in where it stands: in a sentence, or on a drawing. */
export function Blank({ label, path, value, words, onChange }: Props) {
  const fault = useFault(path)
  const wrong = fault !== undefined
  return (
    <span className={styles.at} data-path={path}>
      <InputBase
        className={styles.blank}
        value={value}
        error={wrong}
        onChange={(e) => onChange(e.target.value)}
        onFocus={(e) => e.target.select()}
        inputProps={{
          'aria-label': label,
          'aria-invalid': wrong,
          inputMode: words ? 'text' : 'decimal',
          maxLength: words ? 40 : undefined,
          autoComplete: 'off',
          style: { width: `${Math.max(3, value.length + 1)}ch` },
        }}
      />
      {wrong && <span className={styles.fault}>{fault}</span>}
    </span>
  )
}
