import type { Schemas } from '../../api/client'
import { HiveFront } from '../../drawing/HiveFront'
import { seams } from '../../kit'
import styles from './Groups.module.css'
import { text } from './text'

interface Props {
  hives: readonly Schemas['ColonyRecord'][]
  out: readonly string[]
  /** The group that a hive was sorted into; left out where chance deals them. */
  groupOf?: ((id: string) => number) | undefined
  names: readonly string[]
  press: (id: string) => void
}

/** The hives of a yard as they stand, each with its group, or left out. */
export function Groups({ hives, out, groupOf, names, press }: Props) {
  return (
    <div className={styles.line}>
      {hives.map((s) => {
        const left = out.includes(s.id)
        const group = groupOf && !left ? groupOf(s.id) : undefined
        return (
          <button
            key={s.id}
            type="button"
            aria-pressed={!left}
            onClick={() => press(s.id)}
            className={styles.hive}
            data-hive={s.name}
            data-in-group={group}
          >
            <HiveFront boxes={s.boxes} seams={s.seen.seams} forHoney={s.for_honey} />
            <span className={styles.ground} />
            <b>{s.name}</b>
            <small>
              {left
                ? text.out
                : group !== undefined
                  ? names[group] || text.groupName(group + 1)
                  : s.seen.seams === undefined
                    ? ''
                    : text.seams(seams(s.seen.seams))}
            </small>
          </button>
        )
      })}
    </div>
  )
}
