import { useState } from 'react'
import type { Application } from '../outbox/outbox'
import { Press } from '../kit'
import { text } from './text'
import shared from './treat.module.css'

const DEAD = ['none', 'few', 'many'] as const

/** After formic acid: is she laying, and what lies dead at the entrance. */
export function Eggs({ onWrite }: { onWrite: (what: Partial<Application>) => void }) {
  const [dead, setDead] = useState<(typeof DEAD)[number]>()
  const save = (eggs?: boolean) =>
    onWrite({ kind: 'checked', ...(eggs !== undefined && { eggs }), ...(dead && { dead }) })
  return (
    <>
      <p className={shared.joint}>
        {text.deadAsk}:{' '}
        {DEAD.map((d) => (
          <button key={d} type="button" aria-pressed={dead === d} onClick={() => setDead(d)} data-dead={d}>
            {text.dead[d]}
          </button>
        ))}
      </p>
      {dead === 'many' && (
        <p className={shared.harm} role="alert">
          {text.eggsHint}
        </p>
      )}
      <div className={shared.takes}>
        <Press big outlined says={text.eggs['false']} onPress={() => save(false)} data-no-eggs />
        <Press big main says={text.eggs['true']} onPress={() => save(true)} data-given />
      </div>
      <Press says={text.eggs['undefined']} onPress={() => save()} data-not-looked />
    </>
  )
}
