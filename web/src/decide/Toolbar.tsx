import Chip from '@mui/material/Chip'
import InputBase from '@mui/material/InputBase'
import type { Schemas } from '../api/client'
import { named, Pick, SoFar, useIdle } from '../kit'
import { holds, type Narrowed, WAYS } from './narrow'
import { text } from './text'
import styles from './Toolbar.module.css'

interface Props {
  decide: Schemas['Decide']
  at: number
  method: string
  by: Narrowed
  set: (by: Narrowed) => void
  goTo: (yard: string) => void
  folded: boolean
  foldAll: (folded: boolean) => void
}

/** With many hives: which of them are shown, and the way to a yard. */
export function Toolbar(props: Props) {
  const idle = useIdle() // the hives come first
  const { so_far } = props.decide
  return <div className={styles.bar}>{so_far ? <SoFar of={so_far} /> : idle && <Tools {...props} />}</div>
}

function Tools({ decide, at, method, by, set, goTo, folded, foldAll }: Props) {
  const all = decide.yards.flatMap((y) => y.colonies).map((c) => holds(c, at, decide.reasons))
  const yards = decide.yards.filter((y) => y.colonies.length > 0)
  return (
    <div className={styles.tools} role="group" aria-label={text.narrow} data-narrow>
      {WAYS.map((w) => {
        const on = by.ways.includes(w)
        return (
          <Chip
            key={w}
            label={`${text.ways[w](method)} ${all.filter((is) => is[w]).length}`}
            variant={on ? 'filled' : 'outlined'}
            color={on ? 'primary' : 'default'}
            aria-pressed={on}
            onClick={() => set({ ...by, ways: on ? by.ways.filter((x) => x !== w) : [...by.ways, w] })}
            data-way={w}
          />
        )
      })}
      <InputBase
        className={styles.find}
        value={by.find}
        placeholder={text.findHive}
        inputProps={{ 'aria-label': text.findHive, autoComplete: 'off', 'data-find-hive': true }}
        onChange={(e) => set({ ...by, find: e.target.value })}
      />
      {yards.length > 1 && (
        <>
          <Pick
            label={text.goToYard}
            none={text.goToYard}
            value=""
            options={named(yards)}
            onChange={(yard) => yard && goTo(yard)}
          />
          <Chip
            label={folded ? text.unfoldAll : text.foldAll}
            variant="outlined"
            onClick={() => foldAll(!folded)}
            data-fold-all
          />
        </>
      )}
    </div>
  )
}
