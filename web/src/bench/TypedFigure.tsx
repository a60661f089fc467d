import { Faults, Field, numberFault } from '../kit'
import styles from './TypedFigure.module.css'

interface Props {
  label: string
  path: string
  unit: string
  value: string
  onChange: (text: string) => void
  /** It is no number. */
  fault: boolean
  onEnter: () => void
}

/** A figure that is read off and typed; always possible, whatever is connected. */
export function TypedFigure({ fault, onEnter, path, ...field }: Props) {
  return (
    <form
      className={styles.typed}
      onSubmit={(e) => {
        e.preventDefault()
        if (document.activeElement instanceof HTMLElement) document.activeElement.blur() // the space bar goes on
        onEnter()
      }}
    >
      <Faults value={fault ? { [path]: numberFault(field.value) ?? '' } : {}}>
        <Field path={path} {...field} />
      </Faults>
    </form>
  )
}
