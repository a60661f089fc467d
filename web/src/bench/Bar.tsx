import Button from '@mui/material/Button'
import { useLayoutEffect, useRef } from 'react'
import styles from './bench.module.css'
import { text } from './text'
import { Press } from '../kit'

interface Press {
  words: string
  onPress: () => void
}

export interface BarProps {
  onBack: () => void
  first?: boolean
  busy: boolean
  /** What the large button and the space bar do; undefined while nothing can be done. */
  primary: Press | undefined
  /** What the large button says while nothing can be done. */
  idle?: string
  /** Why nothing goes on from here: a fault that is open. */
  held?: string | undefined
  second?: Press
  third?: Press
}

/** The foot of a step: back, and one large button that the space bar presses, too. */
export function Bar({ onBack, first, busy, primary: offered, idle, held, second, third }: BarProps) {
  const primary = held === undefined ? offered : undefined
  const press = useRef<() => void>(() => undefined)
  // Before the button is seen: who presses as soon as it is there is heard.
  useLayoutEffect(() => {
    press.current = () => {
      if (primary && !busy) primary.onPress()
    }
  })
  useLayoutEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key !== ' ' || e.repeat) return
      const there = e.target
      if (there instanceof HTMLInputElement || there instanceof HTMLSelectElement) return
      e.preventDefault()
      if (there instanceof HTMLElement) there.blur() // or the button there is pressed as well
      press.current()
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  }, [])
  return (
    <div className={styles.bar}>
      <Press big says={text.back} off={first || busy} onPress={onBack} data-back />
      {third && held === undefined && (
        <Press big says={third.words} off={busy} onPress={third.onPress} data-third />
      )}
      {second && <Press big outlined says={second.words} off={busy} onPress={second.onPress} data-second />}
      <Button
        size="large"
        variant="contained"
        className={styles.primary}
        disabled={!primary || busy}
        onClick={() => primary?.onPress()}
        data-primary
      >
        {primary?.words ?? held ?? idle ?? text.next} <kbd>{text.space}</kbd>
      </Button>
    </div>
  )
}
