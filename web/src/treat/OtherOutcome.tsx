import { useState } from 'react'
import type { Schemas } from '../api/client'
import { Faults, Field, may, onSent, Press, readOne, useStart } from '../kit'
import type { Amount } from '../method/amount'
import type { Application } from '../outbox/outbox'
import { text } from './text'
import shared from './treat.module.css'
import styles from './OtherOutcome.module.css'

interface Props {
  amount: Amount
  choices: Schemas['VisitChoices']
  onWrite: (what: Partial<Application>) => void
  onCancel: () => void
}

const DEAD = 'dead'

/** What was really given: the reason, then the amount, and only then is it written. */
export function OtherOutcome({ amount, choices, onWrite, onCancel }: Props) {
  const keeper = may(useStart().me?.role, 'keeper')
  const [reason, setReason] = useState<string>()
  const skip = (close?: boolean) =>
    onWrite({ kind: 'skipped', reason: reason ?? '', amount: 0, ...(close ? { close } : {}) })
  // Some reasons mean that nothing was given: one tap, but for a dead colony.
  const choose = (r: string) =>
    choices.skipping.includes(r) && r !== DEAD
      ? onWrite({ kind: 'skipped', reason: r, amount: 0 })
      : setReason(r)
  return (
    <div className={shared.otherBox}>
      {reason === undefined ? (
        <>
          <div className={styles.reasons}>
            {choices.reasons.map((r) => (
              <Press key={r} outlined says={choices.words[r]} onPress={() => choose(r)} data-reason={r} />
            ))}
          </div>
          <Press says={text.cancel} onPress={onCancel} />
        </>
      ) : (
        <>
          <h2>{choices.words[reason]}</h2>
          {reason === DEAD ? (
            <>
              <p>{text.lowHint}</p>
              <div className={styles.really}>
                <Press big outlined says={text.deadKeep} onPress={() => skip()} data-dead-keep />
                {keeper && (
                  <Press big main says={text.deadClose} onPress={() => skip(true)} data-dead-close />
                )}
              </div>
            </>
          ) : (
            <Really
              amount={amount}
              onNothing={() => skip()}
              onGiven={(ml) => onWrite({ amount: ml, reason })}
            />
          )}
          <Press says={text.cancel} onPress={() => setReason(undefined)} />
        </>
      )}
    </div>
  )
}

interface ReallyProps {
  amount: Amount
  onNothing: () => void
  onGiven: (amount: number) => void
}

/** How much it was; the meant amount is not offered, for it was not that. */
function Really({ amount, onNothing, onGiven }: ReallyProps) {
  const [typed, setTyped] = useState('')
  const { figure, faults } = readOne('amount', typed)
  const ready = figure !== undefined && figure > 0 && !('amount' in faults)
  return (
    <form onSubmit={onSent(() => ready && onGiven(figure))}>
      <Faults value={faults}>
        <Field
          label={text.really}
          unit={amount.unit === 'ml' ? text.ml : amount.words}
          path="amount"
          value={typed}
          onChange={setTyped}
        />
      </Faults>
      <div className={styles.really}>
        <Press big outlined says={text.nothing} onPress={onNothing} data-nothing />
        <Press submit big main says={text.keepIt} off={!ready} data-write-it />
      </div>
    </form>
  )
}
