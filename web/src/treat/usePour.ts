import { useEffect, useState } from 'react'

interface Pouring {
  running: boolean
  /** The gap at hand, among those that hold bees; undefined while nothing runs. */
  at: number | undefined
  /** How far each gap is, 0 to 1. */
  done: readonly number[]
  /** Whether it ran to its end. */
  finished: boolean
  start: () => void
  stop: () => void
}

/** A run through gaps, each for so many seconds, a tone at each. */
export function usePour(seconds: readonly number[]): Pouring {
  const [begun, setBegun] = useState<number>()
  const [now, setNow] = useState(0)
  const passed = begun === undefined ? 0 : (now - begun) / 1000
  const ends = seconds.map((_, i) => seconds.slice(0, i + 1).reduce((a, b) => a + b, 0))
  const finished = begun !== undefined && passed >= (ends.at(-1) ?? 0)
  const running = begun !== undefined && !finished
  const at = running ? ends.findIndex((end, i) => seconds[i]! > 0 && passed < end) : undefined
  useEffect(() => {
    if (!running) return
    const ticking = setInterval(() => setNow(performance.now()), 50)
    return () => clearInterval(ticking)
  }, [running])
  useEffect(() => {
    if (at !== undefined) tone(880)
    else if (finished) tone(660)
  }, [at, finished])
  return {
    running,
    at,
    done: seconds.map((s, i) => (s > 0 ? Math.min(1, Math.max(0, 1 - (ends[i]! - passed) / s)) : 0)),
    finished,
    start: () => {
      const start = performance.now()
      setNow(start)
      setBegun(start)
    },
    stop: () => setBegun(undefined),
  }
}

/** One short tone; a browser that allows no sound stays silent. */
function tone(hertz: number) {
  try {
    const sound = new AudioContext()
    const o = sound.createOscillator()
    o.frequency.value = hertz
    o.connect(sound.destination)
    o.start()
    o.stop(sound.currentTime + 0.12)
    o.onended = () => void sound.close()
  } catch {
    return
  }
}
