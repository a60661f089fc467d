import FormHelperText from '@mui/material/FormHelperText'
import IconButton from '@mui/material/IconButton'
import { Choice, Field, Press, useFault } from '../../kit'
import type { Change } from '../draft'
import type { LabelTable } from './label'
import styles from './CardEditor.module.css'
import { text } from './text'

/** The label of a ready-to-use product, as the keeper copies it. */
export default function CardEditor({ label: card, change }: { label: LabelTable; change: Change }) {
  const fault = useFault('hold.card.rows')
  const edit = (recipe: (card: LabelTable) => void) => change((d) => recipe(d.label))
  return (
    <fieldset className={styles.card}>
      <legend>{text.card}</legend>
      <Field label={text.cardName} text value={card.name} onChange={(v) => edit((c) => void (c.name = v))} />
      {card.rows.map((row, i) => (
        <div key={i} className={styles.cardRow}>
          <div>
            <Field
              label={text.cardUpTo}
              unit={text.cardBees}
              path={`hold.card.rows[${i}].up_to_bees`}
              placeholder={i === card.rows.length - 1 ? text.cardAnyLarger : ''}
              value={row.upTo}
              onChange={(v) => edit((c) => void (c.rows[i]!.upTo = v))}
            />
            <Field
              label={text.cardDose}
              unit="mL"
              path={`hold.card.rows[${i}].dose_ml`}
              value={row.dose}
              onChange={(v) => edit((c) => void (c.rows[i]!.dose = v))}
            />
          </div>
          {card.rows.length > 1 && (
            <IconButton
              size="small"
              aria-label={text.cardRemoveRow(i + 1)}
              onClick={() => edit((c) => void c.rows.splice(i, 1))}
            >
              ×
            </IconButton>
          )}
        </div>
      ))}
      {fault && <FormHelperText error>{fault}</FormHelperText>}
      <Press
        small
        says={text.cardAddRow}
        onPress={() => edit((c) => void c.rows.push({ upTo: '', dose: '' }))}
      />
      {card.actives.map((active, i) => (
        <div key={i}>
          <Choice
            label={text.cardActive}
            columns={3}
            value={active.name}
            options={text.cardActives}
            onChange={(v) => edit((c) => void (c.actives[i]!.name = v))}
          />
          <div className={styles.cardRow}>
            <Field
              label={text.cardActive}
              unit="g/L"
              path={`hold.card.actives[${i}].g_per_l`}
              value={active.gPerL}
              onChange={(v) => edit((c) => void (c.actives[i]!.gPerL = v))}
            />
            <IconButton
              size="small"
              aria-label={text.cardRemoveActive(i + 1)}
              onClick={() => edit((c) => void c.actives.splice(i, 1))}
            >
              ×
            </IconButton>
          </div>
          {active.name === 'oxalic' && (
            <Choice
              label={text.basis}
              value={active.basis}
              options={text.bases}
              path={`hold.card.actives[${i}].basis`}
              onChange={(v) => edit((c) => void (c.actives[i]!.basis = v))}
            />
          )}
        </div>
      ))}
      <Press
        small
        says={text.cardAddActive}
        onPress={() => edit((c) => void c.actives.push({ name: 'oxalic', gPerL: '', basis: '' }))}
      />
      <Field
        label={text.cardRepeats}
        path="hold.card.repeats"
        value={card.repeats}
        onChange={(v) => edit((c) => void (c.repeats = v))}
      />
    </fieldset>
  )
}
