import type { Schemas } from '../api/client'
import { Board } from '../drawing/Board'
import { adopt } from '../stages/mix/adopt'
import { plain } from '../units/format'
import styles from './book.module.css'
import { text } from './text'

/** The hives of a kept batch from above, as they were dosed. */
export function KeptBoards({ batch }: { batch: Schemas['Batch'] }) {
  const { colonies } = adopt(batch.plan, '')
  if (batch.answer.doses.length === 0) return null
  return (
    <div className={styles.boards}>
      {batch.answer.doses.map((dose, i) => (
        <div key={i}>
          <h3>
            {dose.name} <span>{text.ml(plain(dose.ml))}</span>
          </h3>
          {colonies[i]?.boxes
            .map((box, b) => (
              <Board
                key={b}
                name={dose.name}
                depth={box.depth}
                slots={box.slots}
                gaps={dose.boxes[b]?.gaps ?? []}
              />
            ))
            .reverse()}
        </div>
      ))}
    </div>
  )
}
