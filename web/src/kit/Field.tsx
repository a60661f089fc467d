import FormHelperText from '@mui/material/FormHelperText'
import InputBase from '@mui/material/InputBase'
import { useId } from 'react'
import { useFault, useFaultCode } from './faults'
import shared from './kit.module.css'
import styles from './Field.module.css'

interface Props {
  label: string
  value: string
  onChange: (text: string) => void
  unit?: string
  /** The field's path in the request, by which a fault finds it. */
  path?: string
  text?: boolean
  /** Words of several lines; a password; what a browser may fill in; at most so many characters. */
  lines?: boolean
  secret?: boolean
  autoComplete?: string
  most?: number
  placeholder?: string
  hint?: string
  /** What is typed goes here at once. */
  focus?: boolean
}

/** One figure (or a short text) on a line of its own: label, large figure, small unit. */
export function Field(props: Props) {
  const { label, value, onChange, unit, path, text, lines, secret, placeholder, hint } = props
  const id = useId()
  const fault = useFault(path)
  const below = fault ?? hint
  return (
    <div className={shared.field} data-path={path}>
      <div className={lines ? styles.lines : styles.line}>
        <label htmlFor={id}>{label}</label>
        <InputBase
          id={id}
          value={value}
          autoFocus={props.focus ?? false}
          placeholder={placeholder}
          onChange={(e) => onChange(e.target.value)}
          onFocus={(e) => !lines && e.target.select()}
          multiline={lines}
          type={secret ? 'password' : 'text'}
          error={fault !== undefined}
          className={text ? styles.words : styles.figure}
          inputProps={{
            inputMode: text ? 'text' : 'decimal',
            autoComplete: props.autoComplete ?? 'off',
            maxLength: props.most,
            'aria-invalid': fault !== undefined,
            'aria-describedby': below ? `${id}-below` : undefined,
          }}
        />
        {unit && <span className={styles.unit}>{unit}</span>}
      </div>
      {below && (
        <FormHelperText id={`${id}-below`} error={fault !== undefined}>
          {below}
        </FormHelperText>
      )}
    </div>
  )
}

/** A fault of something that is chosen elsewhere, such as on a drawing. */
export function FaultLine({ path }: { path: string }) {
  const fault = useFault(path)
  const missing = useFaultCode(path) === 'missing'
  if (fault === undefined) return null
  return (
    <FormHelperText error={!missing} data-path={path}>
      {fault}
    </FormHelperText>
  )
}
