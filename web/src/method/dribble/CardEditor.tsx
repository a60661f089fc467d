import IconButton from '@mui/material/IconButton'
import { Choice, Field, Press } from '../../kit'
import type { Change } from '../draft'
import type { LabelTable } from './label'
import { LabelRows } from './LabelRows'
import styles from './CardEditor.module.css'
import { text } from './text'

/** The label of a ready-to-use product, as the keeper copies it. */
export default function CardEditor({ label: card, change }: { label: LabelTable; change: Change }) {
  const edit = (recipe: (card: LabelTable) => void) => change((d) => recipe(d.label))
  return (
    <fieldset className={styles.card}>
      <legend>{text.card}</legend>
      <Field label={text.cardName} text value={card.name} onChange={(v) => edit((c) => void (c.name = v))} />
      <LabelRows
        rows={card.rows}
        path="hold.card.rows"
        least={1}
        edit={(recipe) => edit((c) => recipe(c.rows))}
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
