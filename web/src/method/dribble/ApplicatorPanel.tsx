import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { client, data, Problem } from '../../api/client'
import { Choice } from '../../kit/Choice'
import { Faults } from '../../kit/faults'
import { Figures } from '../../kit/Figures'
import { Field } from '../../kit/Field'
import { Section } from '../../kit/Section'
import { three } from '../../kit/format'
import { Reader } from '../../kit/reader'
import type { Change } from '../draft'
import type { DribbleDraft } from './draft'
import styles from '../method.module.css'
import { nameIn } from '../text'
import { text } from './text'

interface Props {
  draft: DribbleDraft
  change: Change<DribbleDraft>
  /** g/L of the syrup at hand, whose acid weighs, too; undefined while it is not known. */
  strength: number | undefined
}

/** What brings the syrup onto the bees, and what one stroke of it gives. */
export function ApplicatorPanel({ draft, change, strength }: Props) {
  const a = draft.applicator
  return (
    <Section title={text.applicator} brief={nameIn(text.devices, a.device)}>
      <Choice
        label={text.applicator}
        value={a.device}
        options={text.devices}
        path="applicator.device"
        onChange={(device) =>
          change((d) => {
            d.applicator.device = device
            d.applicator.unit = ''
          })
        }
      />
      {a.device === 'syringe' && (
        <Field
          label={text.syringeSize}
          unit="mL"
          path="applicator.size_ml"
          value={a.size}
          onChange={(v) => change((d) => void (d.applicator.size = v))}
        />
      )}
      <Figures
        part={a}
        set={(key, v) => change((d) => void (d.applicator[key] = v))}
        rows={[
          {
            of: 'unit',
            label: text.unit[a.device],
            unit: 'mL',
            path: 'applicator.unit_ml',
            placeholder: a.device === 'sprayer' ? '' : text.usual,
          },
          { of: 'dead', label: text.dead, unit: 'mL', path: 'applicator.dead_ml' },
        ]}
      />
      {a.device !== 'syringe' && <Calibration draft={draft} change={change} strength={strength} />}
    </Section>
  )
}

function Calibration({ draft, change, strength }: Props) {
  const a = draft.applicator
  const reader = new Reader('metric')
  const shots = reader.whole('shots', a.shots)
  const grams = reader.number('grams', a.shotsWeigh)
  const body = {
    shots: shots ?? 0,
    grams: grams ?? 0,
    liquid: a.liquid,
    ...(a.liquid === 'syrup' && strength ? { g_per_l: strength } : {}),
  }
  const ready = shots !== undefined && grams !== undefined
  const query = useQuery({
    queryKey: ['calibration', body],
    queryFn: ({ signal }) => data(client.POST('/api/dribble/calibration', { body, signal })),
    enabled: ready,
  })
  const faults = { ...(query.error instanceof Problem && query.error.faults), ...reader.faults }
  const unit = ready ? query.data?.unit_ml : undefined
  return (
    <details className={styles.fold}>
      <summary>{text.calibrate}</summary>
      <Faults value={faults}>
        <Figures
          part={a}
          set={(key, v) => change((d) => void (d.applicator[key] = v))}
          rows={[
            { of: 'shots', label: text.shots[a.device], path: 'shots' },
            { of: 'shotsWeigh', label: text.shotsWeigh, unit: 'g', path: 'grams' },
          ]}
        />
        <Choice
          label={text.calibrate}
          value={a.liquid}
          options={text.liquids}
          onChange={(liquid) => change((d) => void (d.applicator.liquid = liquid))}
        />
      </Faults>
      {unit !== undefined && (
        <Button size="small" onClick={() => change((d) => void (d.applicator.unit = unit.toFixed(2)))}>
          {text.take(three(unit))}
        </Button>
      )}
    </details>
  )
}
