import type { Depth, Slot } from '../drawing/Board'
import { Choice, Press } from '../kit'
import styles from './HiveBoxes.module.css'
import { text } from './text'

export interface BoxShape {
  depth: Depth
  slots: Slot[]
}

interface Props {
  boxes: readonly BoxShape[]
  reshape: (box: number, recipe: (box: BoxShape) => void) => void
  remove: (box: number) => void
  add: () => void
}

const MOST_FRAMES = 20
const MOST_BOXES = 6

/** The boxes of a hive: how deep, how many places, and what hangs in each; the top one uppermost. */
export function HiveBoxes({ boxes, reshape, remove, add }: Props) {
  return (
    <>
      {boxes
        .map((b, i) => (
          <div key={i} className={styles.box}>
            <Choice
              label={text.box(i + 1)}
              columns={3}
              value={b.depth}
              options={text.depths}
              onChange={(depth) => reshape(i, (x) => void (x.depth = depth))}
            />
            <div className={styles.slots}>
              {b.slots.map((slot, s) => (
                <button
                  key={s}
                  type="button"
                  className={styles[slot]}
                  aria-label={text.slot(s + 1, slot)}
                  onClick={() => reshape(i, (x) => void (x.slots[s] = after(slot)))}
                >
                  {text.slotLetters[slot]}
                </button>
              ))}
            </div>
            <div>
              <Press
                small
                says={text.fewer}
                off={b.slots.length <= 1}
                onPress={() => reshape(i, (x) => void x.slots.pop())}
              />
              <Press
                small
                says={text.more}
                off={b.slots.length >= MOST_FRAMES}
                onPress={() => reshape(i, (x) => void x.slots.push('comb'))}
              />
              {boxes.length > 1 && <Press small says={text.removeBox} onPress={() => remove(i)} />}
            </div>
          </div>
        ))
        .reverse()}
      <Press says={text.addBox} off={boxes.length >= MOST_BOXES} onPress={add} />
    </>
  )
}

const order: Slot[] = ['comb', 'feeder', 'dummy', 'empty']

const after = (slot: Slot): Slot => order[(order.indexOf(slot) + 1) % order.length]!
