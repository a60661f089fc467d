import Button from '@mui/material/Button'
import FormHelperText from '@mui/material/FormHelperText'
import InputBase from '@mui/material/InputBase'
import NativeSelect from '@mui/material/NativeSelect'
import { useState, type SyntheticEvent } from 'react'
import styles from './hive.module.css'
import { text } from './text'
import { HIVES, newColony, nextName, type Change, type Colonies, type HiveName } from './hive'

const boxesOf = (hive: HiveName) => HIVES[hive].boxes().length

/** One hive's seams as typed: 5½, or 7+6½ for its boxes from the floor up. */
const COUNTS = /^\d*([.,]?\d+|[¼½¾])(\+\d*([.,]?\d+|[¼½¾]))*$/

/** Adds one hive of a kind, or several at once by their counted seams. */
export function AddHives({ draft, change }: { draft: Colonies; change: Change }) {
  const [hive, setHive] = useState<HiveName>('single10')
  const [counts, setCounts] = useState('')
  const [fault, setFault] = useState<string>()

  const add = (event: SyntheticEvent) => {
    event.preventDefault()
    const words = counts.split(/[\s;]+/).filter((w) => w !== '')
    const bad = words.find((w) => !COUNTS.test(w) || w.split('+').length > boxesOf(hive))
    setFault(bad === undefined ? undefined : text.addManyBad(bad))
    if (bad !== undefined) return
    change((d) => {
      for (const word of words.length > 0 ? words : [undefined]) {
        const colony = newColony(hive, nextName(d.colonies))
        word
          ?.split('+')
          .forEach((count, i) => Object.assign(colony.boxes[i]!, { seams: null, counted: count }))
        d.colonies.push(colony)
      }
    })
    setCounts('')
  }

  return (
    <form className={styles.add} onSubmit={add} data-add={draft.colonies.length}>
      <NativeSelect
        value={hive}
        inputProps={{ 'aria-label': text.addHive }}
        onChange={(e) => setHive(e.target.value as HiveName)}
      >
        {(Object.keys(HIVES) as HiveName[]).map((name) => (
          <option key={name} value={name}>
            {text.hiveKinds[name]}
          </option>
        ))}
      </NativeSelect>
      <InputBase
        className={styles.addCounts}
        value={counts}
        placeholder={text.addMany}
        inputProps={{ 'aria-label': text.addManyLabel, 'aria-invalid': fault !== undefined }}
        onChange={(e) => setCounts(e.target.value)}
      />
      <Button type="submit" variant="outlined">
        {counts.trim() === '' ? text.addHive : text.addManyButton}
      </Button>
      {fault && <FormHelperText error>{fault}</FormHelperText>}
    </form>
  )
}
