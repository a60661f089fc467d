import { useState } from 'react'
import type { Schemas } from '../api/client'
import type { Application } from '../outbox/outbox'
import { Choice, date, Faults, Field, onSent, plain, Press, readOne } from '../kit'
import { text } from './text'
import shared from './treat.module.css'

interface Props {
  colony: Schemas['VisitColony']
  onWrite: (what: Partial<Application>) => void
}

/** A bottle or pad on the balance, beside what it weighed before. */
export function Weigh({ colony, onWrite }: Props) {
  const [how, setHow] = useState<'weighed' | 'read'>(colony.read_ml === undefined ? 'weighed' : 'read')
  const read = how === 'read'
  const [typed, setTyped] = useState('')
  const [wick, setWick] = useState('')
  const weight = readOne('amount', typed)
  const area = readOne('area_cm2', wick)
  const faults = { ...(typed && weight.faults), ...(wick && area.faults) }
  const ready = (weight.figure ?? -1) >= (read ? 0 : 0.1) && Object.keys(faults).length === 0
  return (
    <form
      onSubmit={onSent(
        () =>
          ready &&
          onWrite({
            kind: 'weighed',
            amount: weight.figure ?? 0,
            ...(read && { read }),
            ...(wick && { area_cm2: area.figure ?? 0 }),
          }),
      )}
    >
      <p className={shared.joint} data-weighed-last>
        {colony.weight_g
          ? text.weighLast(plain(colony.weight_g), date(colony.weighed_on ?? ''))
          : colony.read_ml
            ? text.readLast(plain(colony.read_ml), date(colony.weighed_on ?? ''))
            : text.weighFirst}
      </p>
      <Choice label={text.weigh} value={how} options={text.weighHow} onChange={setHow} />
      <Faults value={faults}>
        <Field
          label={read ? text.readNow : text.weigh}
          unit={read ? 'mL' : 'g'}
          path="amount"
          value={typed}
          onChange={setTyped}
        />
        <Field label={text.wick} unit="cm²" path="area_cm2" value={wick} onChange={setWick} />
      </Faults>
      <div className={shared.takes}>
        <Press submit big main says={read ? text.readIt : text.weighIt} off={!ready} data-given />
      </div>
    </form>
  )
}
