import { useEffect } from 'react'
import { temperature } from '../kit'
import styles from './Alarm.module.css'
import { text } from './text'
import type { Run } from './useBench'
import { useReading, type Instrument, type Readings } from './useInstruments'

interface Props {
  run: Run
  readings: Readings
  probe: Instrument | undefined
}

/** A pot that is too hot is told at every step, to eye and ear. */
export function Alarm({ run, readings, probe }: Props) {
  const reading = useReading(readings, probe?.id)
  const most = Math.max(0, ...run.acts.map((a) => a.alarm_c ?? 0))
  const hot = most > 0 && reading !== undefined && reading.state !== 'lost' && reading.value >= most
  useEffect(() => {
    if (!hot) return
    return beeping()
  }, [hot])
  if (!hot) return null
  return (
    <div className={styles.alarm} role="alert" data-alarm>
      <b>{text.alarm(temperature(reading.value))}</b>
      <p>{text.alarmHint(temperature(most))}</p>
    </div>
  )
}

/** Beeps until it is ended; a browser that allows no sound stays silent. */
function beeping() {
  let sound: AudioContext
  try {
    sound = new AudioContext()
  } catch {
    return () => undefined
  }
  const beep = () => {
    const tone = sound.createOscillator()
    const loud = sound.createGain()
    tone.frequency.value = 880
    loud.gain.value = 0.2
    tone.connect(loud).connect(sound.destination)
    tone.start()
    tone.stop(sound.currentTime + 0.25)
  }
  beep()
  const again = setInterval(beep, 700)
  return () => {
    clearInterval(again)
    void sound.close()
  }
}
