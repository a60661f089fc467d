import type { ComponentProps } from 'react'
import { Board } from '../drawing/Board'
import styles from './SavedHives.module.css'
import type { DraftBox, DraftColony } from './hive'

interface Props {
  colonies: readonly DraftColony[]
  figure: (colony: number) => string
  board: (box: DraftBox, colony: number, i: number) => Pick<ComponentProps<typeof Board>, 'gaps' | 'lid'>
}

/** The hives of a saved batch from above, as they were done. */
export function SavedHives({ colonies, figure, board }: Props) {
  return (
    <div className={styles.kept}>
      {colonies.map((c, i) => (
        <div key={c.key}>
          <h3>
            {c.name} <span>{figure(i)}</span>
          </h3>
          {c.boxes
            .map((box, b) => (
              <Board
                key={b}
                name={c.name}
                depth={box.depth}
                slots={box.slots}
                brood={box.brood}
                {...board(box, i, b)}
              />
            ))
            .reverse()}
        </div>
      ))}
    </div>
  )
}
