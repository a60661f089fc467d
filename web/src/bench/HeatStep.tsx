import { useState } from 'react'
import { degreeUnit, shownDegrees, toCelsius, plain, Press, readNumber, temperature } from '../kit'
import { Bar } from './Bar'
import shared from './bench.module.css'
import styles from './HeatStep.module.css'
import type { StepProps } from './stepProps'
import { text } from './text'
import { TypedFigure } from './TypedFigure'
import { send, useReading } from './useInstruments'

/** A temperature between two: what the thermometer shows, or what is typed. */
export function HeatStep({ act, at, readings, instruments, foot, onNext }: StepProps) {
  const device = instruments.find((i) => i.kind === 'probe')
  const reading = useReading(readings, device?.id)
  const live = device?.connected && reading && reading.state !== 'lost' ? reading.value : undefined
  const [typed, setTyped] = useState('')
  const number = typed === '' ? undefined : readNumber(typed)
  const written = number === undefined ? undefined : toCelsius(number)
  const known = written ?? live
  const low = act.low_c ?? 0
  const high = act.high_c ?? 0
  const where =
    known === undefined || Number.isNaN(known)
      ? undefined
      : known < low
        ? 'under'
        : known > high
          ? 'over'
          : 'in'

  const go = async () => {
    if (known === undefined) return
    const source = written === undefined ? 'probe' : 'typed'
    if (!(await at.happen({ kind: 'measured', act: act.id, temp_c: known, source }))) return
    if (act.check && !(await at.happen({ kind: 'answered', act: act.id, answer: 'yes' }))) return
    onNext()
  }
  return (
    <>
      <div className={shared.body}>
        <p className={shared.target}>{text.between(temperature(low), temperature(high))}</p>
        {known !== undefined && !Number.isNaN(known) ? (
          <div className={shared.shown} data-place={where}>
            <p className={shared.reading}>
              <span data-temp>{plain(Math.round(shownDegrees(known) * 10) / 10)}</span>
              <small>{degreeUnit()}</small>
            </p>
            <Column value={known} low={low} high={high} alarm={act.alarm_c} />
            <p className={shared.placeWord}>
              {where === 'under'
                ? `▽ ${text.tooCold}`
                : where === 'over'
                  ? `▲ ${text.tooHot}`
                  : `■ ${text.warmEnough}`}
            </p>
          </div>
        ) : (
          <p className={shared.saying} data-typing>
            {device ? text.lostProbe : text.typeTempOnly}
          </p>
        )}
        <TypedFigure
          label={live === undefined ? text.typeTempOnly : text.typeTemp}
          path="temp_c"
          unit={degreeUnit()}
          value={typed}
          onChange={setTyped}
          fault={number !== undefined && Number.isNaN(number)}
          onEnter={() => void go()}
        />
        {device?.connected && device.simulated && (
          <div className={shared.keys}>
            <span className={shared.standIn}>{text.standInProbe}</span>
            {[(low + high) / 2, ...(act.alarm_c ? [act.alarm_c + 3] : [])].map((c) => (
              <Press
                key={c}
                outlined
                says={text.plate(temperature(c))}
                onPress={() => send({ instrument: device.id, do: 'heat', amount: c })}
                data-plate={c}
              />
            ))}
            <Press
              outlined
              says={text.plateOff}
              onPress={() => send({ instrument: device.id, do: 'heat', amount: 0 })}
              data-plate-off
            />
          </div>
        )}
      </div>
      <Bar
        {...foot}
        primary={
          where === 'in' && known !== undefined
            ? { words: text.takeTemp(temperature(known)), onPress: () => void go() }
            : undefined
        }
        third={{ words: text.skip, onPress: onNext }}
      />
    </>
  )
}

/** A thermometer lying down: where the band and the alarm are. */
function Column({ value, low, high, alarm }: { value: number; low: number; high: number; alarm?: number }) {
  const top = Math.max(100, high + 20)
  const x = (c: number) => Math.max(0, Math.min(600, (c / top) * 600))
  return (
    <svg className={shared.dial} viewBox="-8 0 616 76" aria-hidden="true" preserveAspectRatio="none">
      <rect className={shared.track} x={0} y={30} width={600} height={16} rx={8} />
      <rect className={shared.bandMark} x={x(low)} y={14} width={x(high) - x(low)} height={48} rx={4} />
      <rect className={shared.filled} x={0} y={30} width={x(value)} height={16} rx={8} />
      {alarm !== undefined && <path className={styles.alarmMark} d={`M${x(alarm)} 6v64`} />}
      <path className={shared.needle} d={`M${x(value)} 8v60`} />
    </svg>
  )
}
