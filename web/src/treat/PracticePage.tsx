import Button from '@mui/material/Button'
import { useEffect, useState } from 'react'
import { Faults, Field, Reader, useKept } from '../kit'
import { text } from './text'
import shared from './treat.module.css'
import styles from './PracticePage.module.css'

/** A dry run with plain syrup: a bar and a tone a seam. Nothing is recorded. */
export default function PracticePage() {
  const form = useKept('practice', () => ({ seconds: '3', seams: '6' }))
  const [begun, setBegun] = useState<number>()
  const [now, setNow] = useState(0)
  const reader = new Reader('metric')
  const seconds = reader.needed('seconds', form.value.seconds)
  const seams = reader.needed('seams', form.value.seams, true)
  const ready = seconds > 0 && seams > 0
  const passed = begun === undefined ? 0 : (now - begun) / 1000
  const seam = Math.floor(passed / seconds)
  const running = begun !== undefined && seam < seams
  useEffect(() => {
    if (!running) return
    const ticking = setInterval(() => setNow(performance.now()), 50)
    return () => clearInterval(ticking)
  }, [running])
  useEffect(() => {
    if (running) tone(seam === 0 ? 660 : 880)
  }, [running, seam])
  const start = () => {
    const at = performance.now()
    setNow(at)
    setBegun(at)
  }
  return (
    <main data-gloves className={shared.page} data-practice={running ? 'running' : 'still'}>
      <h1>{text.practiceTitle}</h1>
      <p className="quiet">{text.practiceIntro}</p>
      <Faults value={reader.faults}>
        <Field
          label={text.seconds}
          unit="s"
          path="seconds"
          value={form.value.seconds}
          onChange={(v) => form.set({ ...form.value, seconds: v })}
        />
        <Field
          label={text.seamsToDo}
          path="seams"
          value={form.value.seams}
          onChange={(v) => form.set({ ...form.value, seams: v })}
        />
      </Faults>
      <p className={styles.paceFigure}>{ready && text.now(Math.min(seam + 1, seams), seams)}</p>
      <div className={styles.pace}>
        <div style={{ width: `${running ? ((passed / seconds) % 1) * 100 : 0}%` }} />
      </div>
      <p>{text.paceHint}</p>
      <Button
        size="large"
        disabled={!ready}
        variant="contained"
        onClick={() => (running ? setBegun(undefined) : start())}
        data-pace
        sx={{ minHeight: 72, minWidth: 200, fontSize: 'var(--t-title)' }}
      >
        {running ? text.stop : text.begin}
      </Button>
    </main>
  )
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
