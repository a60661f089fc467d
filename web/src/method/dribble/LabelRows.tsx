import IconButton from '@mui/material/IconButton'
import { type Edit, FaultLine, Field, Press } from '../../kit'
import { emptyRow, type LabelRow } from './label'
import styles from './CardEditor.module.css'
import { text } from './text'

interface Props {
  rows: readonly LabelRow[]
  /** Where they stand in the request. */
  path: string
  /** So many rows stay. */
  least?: number
  edit: Edit<LabelRow[]>
}

/** The table of a label, row by row: so many mL up to so many bees. */
export function LabelRows({ rows, path, least = 0, edit }: Props) {
  return (
    <>
      {rows.map((row, i) => (
        <div key={i} className={styles.cardRow}>
          <div>
            <Field
              label={text.cardUpTo}
              unit={text.cardBees}
              path={`${path}[${i}].up_to_bees`}
              placeholder={i === rows.length - 1 ? text.cardAnyLarger : ''}
              value={row.upTo}
              onChange={(v) => edit((of) => void (of[i]!.upTo = v))}
            />
            <Field
              label={text.cardDose}
              unit="mL"
              path={`${path}[${i}].dose_ml`}
              value={row.dose}
              onChange={(v) => edit((of) => void (of[i]!.dose = v))}
            />
          </div>
          {rows.length > least && (
            <IconButton
              size="small"
              aria-label={text.cardRemoveRow(i + 1)}
              onClick={() => edit((of) => void of.splice(i, 1))}
            >
              ×
            </IconButton>
          )}
        </div>
      ))}
      <FaultLine path={path} />
      <Press small says={text.cardAddRow} onPress={() => edit((of) => void of.push(emptyRow()))} />
    </>
  )
}
