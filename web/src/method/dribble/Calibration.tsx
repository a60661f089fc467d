import { useQuery } from '@tanstack/react-query'
import { client, data, Problem, type Schemas } from '../../api/client'
import { Entries, Faults, Press, read, Reader, three } from '../../kit'
import type { Change } from '../draft'
import styles from './Calibration.module.css'
import { CALIBRATION, type DribbleTyped } from './fields'
import { text } from './text'

interface Props {
  typed: DribbleTyped
  change: Change<DribbleTyped>
  /** g/L of the syrup at hand, whose acid weighs, too; undefined while it is not known. */
  strength: number | undefined
}

/** What one stroke of the applicator gives, by weighing some of them. */
export function Calibration({ typed, change, strength }: Props) {
  const reader = new Reader('metric')
  const body = read([CALIBRATION], typed, reader) as Partial<Schemas['CalibrationRequest']>
  if (body.liquid === 'syrup' && strength) body.g_per_l = strength
  const ready = reader.readable && body.shots !== undefined && body.grams !== undefined
  const query = useQuery({
    queryKey: ['calibration', body],
    queryFn: ({ signal }) =>
      data(client.POST('/api/dribble/calibration', { body: body as Schemas['CalibrationRequest'], signal })),
    enabled: ready,
  })
  const faults = { ...(query.error instanceof Problem && query.error.faults), ...reader.faults }
  const unit = ready ? query.data?.unit_ml : undefined
  return (
    <details className={styles.fold}>
      <summary>{text.calibrate}</summary>
      <Faults value={faults}>
        <Entries of={CALIBRATION} typed={typed} change={change} />
      </Faults>
      {unit !== undefined && (
        <Press
          small
          says={text.take(three(unit))}
          onPress={() => change((t) => void (t['applicator.unit_ml'] = unit.toFixed(2)))}
        />
      )}
    </details>
  )
}
