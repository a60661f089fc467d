import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import type { Slot } from '../../../drawing/Board'
import { besideComb } from '../../../drawing/gaps'
import { Choice } from '../../../parts/Choice'
import { box as newBox, type DraftBox, type DraftColony } from './hive'
import styles from '../mix.module.css'
import { text } from '../text'

interface Props {
  colony: DraftColony
  edit: (recipe: (c: DraftColony) => void) => void
  onClose: () => void
}

const MOST_FRAMES = 20
const MOST_BOXES = 6

/** The boxes of a hive: how deep, how many places, and what hangs in each. */
export default function SlotsDialog({ colony, edit, onClose }: Props) {
  const reshape = (i: number, recipe: (b: DraftBox) => void) =>
    edit((c) => {
      const b = c.boxes[i]!
      recipe(b)
      // Bees stay where they were seen, but for places that can no longer hold any.
      const { seams } = b
      if (seams !== null)
        b.seams = Array.from({ length: b.slots.length + 1 }, (_, g) =>
          besideComb(b.slots, g) ? (seams[g] ?? 0) : 0,
        )
      if (b.brood.length > 0) b.brood = b.slots.map((s, k) => s === 'comb' && (b.brood[k] ?? false))
      c.placed = null
    })
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>{text.slotsTitle(colony.name)}</DialogTitle>
      <DialogContent>
        <p className="quiet">{text.slotsHint}</p>
        {colony.boxes
          .map((b, i) => (
            <div key={i} className={styles.slotsBox}>
              <Choice
                label={text.boxNames.next(i + 1)}
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
                <Button
                  size="small"
                  disabled={b.slots.length <= 1}
                  onClick={() => reshape(i, (x) => void x.slots.pop())}
                >
                  {text.fewer}
                </Button>
                <Button
                  size="small"
                  disabled={b.slots.length >= MOST_FRAMES}
                  onClick={() => reshape(i, (x) => void x.slots.push('comb'))}
                >
                  {text.more}
                </Button>
                {colony.boxes.length > 1 && (
                  <Button
                    size="small"
                    onClick={() =>
                      edit((c) => Object.assign(c, { placed: null, boxes: c.boxes.toSpliced(i, 1) }))
                    }
                  >
                    {text.removeBox}
                  </Button>
                )}
              </div>
            </div>
          ))
          .reverse()}
        <Button
          disabled={colony.boxes.length >= MOST_BOXES}
          onClick={() => edit((c) => void c.boxes.push(newBox('deep', c.boxes.at(-1)?.slots.length ?? 10)))}
        >
          {text.addBox}
        </Button>
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose}>
          {text.done}
        </Button>
      </DialogActions>
    </Dialog>
  )
}

function after(slot: Slot): Slot {
  const order = text.slotKinds.map(([kind]) => kind)
  return order[(order.indexOf(slot) + 1) % order.length] ?? 'comb'
}
