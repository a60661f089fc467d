import { Board } from '../drawing/Board'
import { plain } from '../kit'
import { adoptColonies } from '../hive/request'
import type { Amount, Hive } from '../method/amount'
import { text } from './text'
import styles from './Boards.module.css'

interface Props {
  hive: Hive
  amount: Amount
  onHive: (hive: Hive) => void
}

/** The hive from above, the top box first; a tap steps a gap. */
export function Boards({ hive, amount, onHive }: Props) {
  const [colony] = adoptColonies([hive])
  if (!colony) return null
  return colony.boxes
    .map((box, i) => {
      const gaps = amount.board(box, i)
      return (
        <div key={i} className={styles.board}>
          {colony.boxes.length > 1 && (
            <span>{text.box(i + 1, amount.boxes[i] === undefined ? '' : plain(amount.boxes[i]))}</span>
          )}
          <Board
            name={hive.name}
            depth={box.depth}
            slots={box.slots}
            gaps={gaps}
            touch={{
              sets: 'seam',
              on: (gap, seam) =>
                onHive({
                  ...hive,
                  boxes: hive.boxes.map((b, k) =>
                    k === i
                      ? { ...b, counted: undefined, seams: gaps.map((g, n) => (n === gap ? seam : g.seam)) }
                      : b,
                  ),
                }),
            }}
          />
        </div>
      )
    })
    .reverse()
}
