import { useEffect, useState } from 'react'
import { temperature } from '../kit'
import { Bar } from './Bar'
import styles from './bench.module.css'
import type { StepProps } from './stepProps'
import { text } from './text'
import { useReading } from './useInstruments'

/** Whole pieces, counted in. */
export function CountStep({ act, at, foot, onNext }: StepProps) {
  const wanted = act.count ?? 0
  const take = () => void at.happen({ kind: 'added', act: act.id, load: act.added.length, count: wanted })
  const inNow = act.added.reduce((sum, t) => sum + (t.count ?? 0), 0)
  return (
    <>
      <div className={styles.body}>
        <p className={`${styles.reading} ${styles.harm}`}>
          <span data-count>{wanted}</span>
        </p>
        {inNow > 0 && <p className={styles.target}>✓ {text.pieces(inNow)}</p>}
      </div>
      <Bar
        {...foot}
        held={act.done ? foot.held : undefined}
        primary={
          act.done ? { words: text.next, onPress: onNext } : { words: text.pieces(wanted), onPress: take }
        }
        second={
          inNow > 0
            ? {
                words: text.strike,
                onPress: () => void at.happen({ kind: 'removed', act: act.id, load: act.added.length - 1 }),
              }
            : { words: text.skip, onPress: onNext }
        }
      />
    </>
  )
}

/** A wait: its clock is the server's, and goes on when the page is closed. */
export function WaitStep({ act, at, readings, instruments, foot, onNext }: StepProps) {
  const probe = instruments.find((i) => i.kind === 'probe' && i.connected)
  const reading = useReading(readings, act.high_c ? probe?.id : undefined)
  const left = useCountdown(act.left_s)
  const over = left !== undefined && left <= 0
  const warm = reading && reading.state !== 'lost' ? reading.value : undefined
  return (
    <>
      <div className={styles.body}>
        <p className={styles.reading}>
          <span data-clock>{clock(Math.max(0, left ?? act.seconds ?? 0))}</span>
        </p>
        {over && <p className={styles.target}>{text.over}</p>}
        {act.high_c && (
          <p className={styles.saying}>
            {text.between(temperature(act.low_c ?? 0), temperature(act.high_c))}
            {warm !== undefined && ` · ${temperature(warm)}`}
          </p>
        )}
      </div>
      <Bar
        {...foot}
        primary={
          left === undefined
            ? { words: text.start, onPress: () => void at.happen({ kind: 'started', act: act.id }) }
            : { words: over ? text.next : text.early, onPress: onNext }
        }
        third={left === undefined ? { words: text.skip, onPress: onNext } : undefined}
      />
    </>
  )
}

const clock = (s: number) => text.hours(Math.floor(s / 3600), Math.floor((s % 3600) / 60), Math.floor(s % 60))

/** Counts on from what the server said. */
function useCountdown(left: number | undefined) {
  const [now, setNow] = useState({ left, at: 0, passed: 0 })
  useEffect(() => {
    if (left === undefined) return
    const begun = performance.now()
    const tick = () => setNow({ left, at: begun, passed: (performance.now() - begun) / 1000 })
    const ticking = setInterval(tick, 500)
    return () => clearInterval(ticking)
  }, [left])
  if (left === undefined) return undefined
  return now.left === left ? left - now.passed : left
}
