import { fixed, placesOf, plain, Press, readNumber, tenths, useKept } from '../kit'
import { Bar } from './Bar'
import shared from './bench.module.css'
import styles from './WeighStep.module.css'
import { Dial } from './Dial'
import type { StepProps } from './stepProps'
import { text } from './text'
import { TypedFigure } from './TypedFigure'
import { send, useReading, type Instrument, type Reading } from './useInstruments'

type Rest = NonNullable<StepProps['act']['rest']>

/** The balance of the rack that is the one described: of its readability. */
const fitting = (instruments: Instrument[], division: number | undefined) =>
  instruments.find((i) => i.kind === 'balance' && i.division === division)

/** A load on the balance: what is wanted, what it shows, and one key that takes it. */
export function WeighStep({ run, act, at, readings, instruments, foot, onNext }: StepProps) {
  const index = act.balance
  const balance = run.balances[index]
  const division = balance?.balance_g ?? 1
  const device = fitting(instruments, balance?.balance_g)
  const reading = useReading(readings, device?.id)
  const live = device?.connected && reading && reading.state !== 'lost' ? reading : undefined
  const left = act.kind === 'left'
  const typed = useKept(`bench.${run.batch_id}.${act.id}.${act.added.length}`, () => '')
  const load = act.rest?.loads[0]
  const finished = act.done === true
  const show = (g: number) => fixed(g, placesOf(division))
  const wanted = act.acid ? show : plain

  const take = async (grams: number, source: 'typed' | 'balance') => {
    const event = {
      kind: 'added',
      act: act.id,
      load: act.added.length,
      grams,
      balance: index,
      source,
    } as const
    const from = source === 'balance' ? { instrument: device?.id } : {}
    if (!(await at.happen({ ...event, ...from }))) return
    typed.putDown()
    if (device?.connected) send({ instrument: device.id, do: 'tare' })
  }
  const figure = typed.value === '' ? undefined : readNumber(typed.value)
  const steady =
    live?.state === 'stable' && (left ? live.value >= 0 : live.value > 0) ? live.value : undefined
  const primary =
    figure !== undefined && !Number.isNaN(figure)
      ? { words: text.take(plain(figure)), onPress: () => void take(figure, 'typed') }
      : finished
        ? { words: text.next, onPress: onNext }
        : steady !== undefined
          ? { words: text.take(show(steady)), onPress: () => void take(steady, 'balance') }
          : undefined
  return (
    <>
      <div className={shared.body}>
        <div className={styles.wanted}>
          {load && !finished && (
            <p className={act.acid ? `${shared.target} ${shared.harm}` : shared.target} data-target>
              {act.added.length > 0 ? text.addMore(wanted(load.target_g)) : text.weigh(wanted(load.target_g))}{' '}
              <small>{text.band(wanted(load.band_g))}</small>
            </p>
          )}
          {finished && !left && <p className={shared.target}>{text.enough}</p>}
          <p className={shared.facts}>
            {balance && text.on(balance.name || '—', plain(division))}
            {act.rest && act.rest.loads.length > 1 && (
              <b> · {text.loadOf(act.added.length + 1, act.added.length + act.rest.loads.length)}</b>
            )}
            {act.target_g && !finished && (act.added.length > 0 || (act.rest?.loads.length ?? 0) > 1)
              ? ` · ${text.inAll(wanted(act.target_g))}`
              : ''}
            {act.volume_ml && !finished ? ` · ${plain(Math.round(act.volume_ml))} mL` : ''}
          </p>
          <Certainty rest={act.rest} show={show} />
          <Taken {...{ act, at }} show={show} />
        </div>
        {!finished && (
          <>
            {live ? (
              <Shown reading={live} load={load} show={show} />
            ) : (
              <p className={shared.saying} data-typing>
                {device ? text.lost[device.trouble ?? 'away'] : left ? text.typeLeft : text.typeOnly}
              </p>
            )}
            <TypedFigure
              label={live ? text.typeIt : left ? text.typeLeft : text.typeOnly}
              path="grams"
              unit="g"
              value={typed.value}
              onChange={typed.set}
              fault={figure !== undefined && Number.isNaN(figure)}
              onEnter={() => primary?.onPress()}
            />
            {live && device && (
              <BalanceKeys device={device} rest={load?.target_g} target={act.target_g} division={division} />
            )}
          </>
        )}
      </div>
      <Bar
        {...foot}
        held={finished && figure === undefined ? foot.held : undefined}
        primary={primary}
        third={finished ? undefined : { words: text.skip, onPress: onNext }}
      />
    </>
  )
}

/** How well this balance can know it, where that is not well. */
function Certainty({ rest, show }: { rest: Rest | undefined; show: (g: number) => string }) {
  if (!rest) return null
  const percent = tenths(rest.off_percent)
  return (
    <>
      {rest.finer_g ? (
        <p className={shared.caution}>{text.finer(show(rest.total_g), percent, plain(rest.finer_g))}</p>
      ) : (
        rest.off_percent >= 0.05 && <p className={shared.facts}>{text.unsure(percent)}</p>
      )}
      {rest.light && <p className={shared.caution}>{text.light}</p>}
    </>
  )
}

/** The loads that are in, each of which can be taken back. */
function Taken({ act, at, show }: Pick<StepProps, 'act' | 'at'> & { show: (g: number) => string }) {
  if (act.added.length === 0) return null
  return (
    <ul className={styles.taken} data-taken>
      {act.added.map((t, i) => (
        <li key={i}>
          <span>✓ {text.inNow(show(t.grams))}</span>
          <Press
            small
            says={text.strike}
            onPress={() => void at.happen({ kind: 'removed', act: act.id, load: i })}
            data-strike={i}
          />
        </li>
      ))}
    </ul>
  )
}

interface ShownProps {
  reading: Reading
  load: Rest['loads'][number] | undefined
  show: (g: number) => string
}

/** What the balance shows now, with its place in the band. */
function Shown({ reading, load, show }: ShownProps) {
  const over = reading.state === 'overload'
  const where = load && !over ? place(reading.value, load.target_g, load.band_g) : undefined
  return (
    <div className={shared.shown} data-state={reading.state} data-place={where}>
      <p className={shared.reading}>
        <span data-reading>{over ? text.overload : show(reading.value)}</span>
        {!over && <small>g</small>}
      </p>
      {load && !over && <Dial value={reading.value} target={load.target_g} band={load.band_g} />}
      <p className={shared.placeWord}>
        {over
          ? text.overloadHint
          : reading.value < 0
            ? text.negative
            : reading.state === 'unstable'
              ? text.waits
              : where === 'over'
                ? `▲ ${text.tooMuch}`
                : where === 'in'
                  ? `■ ${text.there}`
                  : where === 'under'
                    ? `▽ ${text.more}`
                    : ''}
      </p>
    </div>
  )
}

export function place(value: number, target: number, band: number) {
  const dust = 1e-9 * target
  if (value < target - band - dust) return 'under'
  return value > target + band + dust ? 'over' : 'in'
}

/** Tare and zero; and onto a simulated balance the keeper can pour. */
function BalanceKeys({
  device,
  rest,
  target,
  division,
}: {
  device: Instrument
  rest: number | undefined
  target: number | undefined
  division: number
}) {
  const ask = (what: 'tare' | 'zero' | 'lift') => () => send({ instrument: device.id, do: what })
  const pour = (amount: number) => () => send({ instrument: device.id, do: 'pour', amount })
  const spoon = Math.max(division * 2, Math.round(((target ?? 0) * 0.08) / division) * division)
  return (
    <div className={shared.keys}>
      <Press outlined says={text.tare} onPress={ask('tare')} data-tare />
      <Press outlined says={text.zero} onPress={ask('zero')} />
      {device.simulated && (
        <>
          <span className={shared.standIn}>{text.standIn}</span>
          {rest !== undefined && <Press outlined says={text.pour} onPress={pour(rest)} data-pour />}
          <Press outlined says={text.spoon} onPress={pour(spoon)} data-spoon />
          <Press outlined says={text.lift} onPress={ask('lift')} data-lift />
        </>
      )}
    </div>
  )
}
