import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react'
import type { Schemas } from '../api/client'
import type { Core } from '../core/core'
import { useKept } from '../kit'
import { type Hive } from '../method/amount'
import { amountOf } from '../method/amounts'
import { belongs } from './acts'
import { Finished } from './Finished'
import { JarBar } from './JarBar'
import { JustDone } from './JustDone'
import { Line } from './Line'
import { OneColony } from './OneColony'
import type { Application, Waiting } from '../outbox/outbox'
import { Refused } from './Refused'
import { SignalBar } from '../outbox/SignalBar'
import styles from './Round.module.css'
import { enteredFields, useEntered, WhenGiven } from './WhenGiven'
import { useJar } from './useJar'
import { useOnce } from './useOnce'
import { useOutbox, type Outbox } from '../outbox/useOutbox'

type Visit = Schemas['Visit']

interface Props {
  round: Visit
  core: Core
  /** The phone has all that it needs to go on without signal. */
  ready: boolean
}

/** What stands of each colony: what the server has, and what waits here. */
export function standing(round: Visit, mine: readonly Waiting[]) {
  const gone = new Set(mine.map((w) => w.amends).filter(Boolean))
  const there = new Set(round.records.map((r) => r.id))
  const all: Application[] = [
    ...round.records.filter((r) => !gone.has(r.id)),
    ...mine.filter((w) => !there.has(w.id)).flatMap((w) => w.application ?? []),
  ].filter((r) => r.reason !== 'taken_back')
  return all
}

/** The round, once it is known what this phone had done before. */
export function Round(props: Props) {
  const outbox = useOutbox(props.round)
  return outbox.loaded ? <Going {...props} outbox={outbox} /> : null
}

/** One colony open at a time, the jar above it, the line of hives below. */
function Going({ round, core, ready, outbox }: Props & { outbox: Outbox }) {
  const { mine } = outbox
  const records = useMemo(() => standing(round, mine).filter((r) => belongs(round.act, r)), [round, mine])
  const kept = useKept<Record<string, Hive>>(`round.${round.job_id}.${round.day}`, () => ({}))
  const backwards = useKept(`round.way.${round.job_id}`, () => false)
  const above = useKept(`round.above.${round.job_id}`, () => false)
  const line = useMemo(
    () => (backwards.value ? [...round.colonies].reverse() : round.colonies),
    [backwards.value, round.colonies],
  )
  const first = line.findIndex((c) => !records.some((r) => r.colony_id === c.id && !r.extra))
  const [at, setAt] = useState(first < 0 ? line.length : first)
  const [last, setLast] = useState<string>()
  const entered = useEntered(round)
  const once = useOnce()
  const jar = useJar(
    round,
    mine.filter((w) => !round.records.some((r) => r.id === w.id)),
  )
  const { batch, left } = jar
  const colony = line[at]
  const hiveOf = (c: Schemas['VisitColony']) => kept.value[c.id] ?? c.hive
  // The dose of a tap is drawn first; how far the jar goes follows.
  const settled = useDeferredValue(kept.value)
  const lasts = useMemo(() => {
    const open = line.filter((c) => !records.some((r) => r.colony_id === c.id))
    const figures = open.map((c) => amountOf(core, round, settled[c.id] ?? c.hive, batch, above.value).figure)
    return core.lasts(left, figures)
  }, [core, round, line, records, settled, batch, above.value, left])
  const opened = useOpened(colony?.id)
  const page = useSeenFromTop(at)
  const { update } = backwards
  const turn = useCallback(() => {
    update((b) => !b)
    setAt(0)
  }, [update])
  // The next hive is there at once, whatever the phone's store takes: who taps on is not
  // brought back. Two taps on one place are one dose.
  const write = (what: Application) => {
    if (!once()) return
    void outbox.add({ ...what, ...enteredFields(entered.value) })
    setLast(what.id)
    if ((what.kind !== 'out' || round.act === 'out') && !what.extra) setAt(at + 1)
  }
  const done = records.find((r) => r.id === last)
  return (
    <main data-gloves ref={page} className={styles.round} data-round={round.method}>
      <SignalBar outbox={outbox} ready={ready} />
      <Refused outbox={outbox} words={round.all.words} />
      <WhenGiven round={round} entered={entered.value} onEntered={entered.set} />
      {round.act === 'give' && <JarBar round={round} jar={jar} lasts={lasts} />}
      {done && done.colony_id !== colony?.id && (
        <JustDone
          round={round}
          record={done}
          onUndo={() => {
            outbox.takeBack(done)
            setAt(line.findIndex((c) => c.id === done.colony_id))
          }}
        />
      )}
      {colony ? (
        <OneColony
          key={colony.id}
          round={round}
          core={core}
          colony={colony}
          hive={hiveOf(colony)}
          jar={jar}
          fromAbove={above.value}
          onFromAbove={above.set}
          records={records.filter((r) => r.colony_id === colony.id)}
          onUndo={outbox.takeBack}
          place={[at + 1, line.length]}
          opened={opened}
          onHive={(h) => kept.set({ ...kept.value, [colony.id]: h })}
          onBack={at > 0 ? () => setAt(at - 1) : undefined}
          onNext={() => setAt(at + 1)}
          onWrite={write}
        />
      ) : (
        <Finished round={round} batch={batch} left={left} onBack={() => setAt(line.length - 1)} />
      )}
      <Line line={line} at={at} method={round.method} records={records} onGo={setAt} onTurn={turn} />
    </main>
  )
}

/** Another hive is shown from its top: what was written last, and its name. */
function useSeenFromTop(at: number) {
  const page = useRef<HTMLElement>(null)
  const shown = useRef(at)
  useEffect(() => {
    if (shown.current !== at) page.current?.scrollIntoView()
    shown.current = at
  }, [at])
  return page
}

/** When the hive on the screen was opened, in ms. */
function useOpened(id: string | undefined) {
  const since = useRef(0)
  useEffect(() => {
    since.current = Date.now()
  }, [id])
  return () => (Date.now() - since.current) / 1000
}
