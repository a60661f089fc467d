import { Pick, Press, useSaving } from '../kit'
import FormHelperText from '@mui/material/FormHelperText'
import InputBase from '@mui/material/InputBase'
import { useState, type SyntheticEvent } from 'react'
import { client, data, type Schemas } from '../api/client'
import styles from './AddHives.module.css'
import { text } from './text'
import { anyBees, HIVES, newColony, nextName, type Change, type Colonies, type HiveName } from './hive'

const boxesOf = (hive: HiveName) => HIVES[hive].boxes().length

/** Adds one hive of a kind, or several at once by their counted seams. */
export function AddHives({ draft, change }: { draft: Colonies; change: Change }) {
  const [hive, setHive] = useState<HiveName>('single10')
  const [typed, setTyped] = useState('')
  const add = (counts: readonly (readonly number[])[]) =>
    change((d) => {
      // The empty hive that a plan begins with gives way to those that were counted.
      if (
        counts[0]?.length &&
        d.colonies.length === 1 &&
        d.colonies[0]!.name === nextName([]) &&
        !anyBees(d.colonies)
      )
        d.colonies = []
      for (const boxes of counts) {
        const colony = newColony(hive, nextName(d.colonies))
        boxes.forEach((n, i) => Object.assign(colony.boxes[i]!, { seams: null, counted: String(n) }))
        d.colonies.push(colony)
      }
    })
  const { save, busy, faults, message } = useSaving(
    (body: Schemas['CountsRequest']) => data(client.POST('/api/hive/counts', { body })),
    ({ hives }) => {
      add(hives)
      setTyped('')
    },
  )
  const fault = faults.typed ?? message
  const submit = (event: SyntheticEvent) => {
    event.preventDefault()
    if (typed.trim() === '') add([[]])
    else save({ typed, boxes: boxesOf(hive) })
  }

  return (
    <form className={styles.add} onSubmit={submit} data-add={draft.colonies.length}>
      <Pick
        label={text.addHive}
        value={hive}
        options={text.hiveKinds}
        onChange={(name) => setHive(name as HiveName)}
      />
      <InputBase
        className={styles.addCounts}
        value={typed}
        placeholder={text.addMany}
        inputProps={{ 'aria-label': text.addManyLabel, 'aria-invalid': fault !== undefined }}
        onChange={(e) => setTyped(e.target.value)}
      />
      <Press submit outlined says={typed.trim() === '' ? text.addHive : text.addManyButton} off={busy} />
      {fault && <FormHelperText error>{fault}</FormHelperText>}
    </form>
  )
}
