import { useState } from 'react'
import { FACTS } from '../method/facts'
import { Faults, Field, onSent, Press, readOne } from '../kit'
import { JarChoice } from './JarBar'
import { text } from './text'
import shared from './treat.module.css'
import type { VisitingProps } from './visitingProps'
import { Done } from './Done'

/** A strip or sponge replaced, a bottle topped up: a dose of its own in the same treatment. */
export function Replace({
  round,
  jar,
  records,
  onUndo,
  onWrite,
}: Omit<VisitingProps, 'onHive' | 'hive' | 'colony' | 'amount'>) {
  const [open, setOpen] = useState(false)
  const [typed, setTyped] = useState('')
  const { figure, faults } = readOne('amount', typed)
  const ready = figure !== undefined && figure > 0 && !('amount' in faults)
  const added = records.filter((r) => r.extra)
  if (!open)
    return (
      <>
        <Done round={round} records={added} onUndo={onUndo} />
        <Press says={text.replace[round.method]} onPress={() => setOpen(true)} data-replace />
      </>
    )
  return (
    <form
      onSubmit={onSent(() => {
        if (!ready) return
        onWrite({ kind: 'given', extra: true, amount: figure, asked: 0 })
        setOpen(false)
        setTyped('')
      })}
    >
      <p className="quiet">{text.replaceHint}</p>
      <JarChoice round={round} jar={jar} />
      <Faults value={typed ? faults : {}}>
        <Field
          label={text.replaceHow[round.method]}
          unit={FACTS[round.method].vessel ? text.ml : FACTS[round.method].pieces(2)}
          path="amount"
          value={typed}
          onChange={setTyped}
        />
      </Faults>
      <div className={shared.takes}>
        <Press big outlined says={text.cancel} onPress={() => setOpen(false)} />
        <Press submit big main says={text.keepIt} off={!ready} data-write-it />
      </div>
    </form>
  )
}
