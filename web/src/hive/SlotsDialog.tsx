import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { besideComb } from '../drawing/gaps'
import { HiveBoxes } from './HiveBoxes'
import { box as newBox, type DraftBox, type DraftColony } from './hive'
import { text } from './text'
import { Press } from '../kit'

interface Props {
  colony: DraftColony
  edit: (recipe: (c: DraftColony) => void) => void
  onClose: () => void
}

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
        <p className="quiet">{text.hint}</p>
        <HiveBoxes
          boxes={colony.boxes}
          reshape={reshape}
          remove={(i) => edit((c) => Object.assign(c, { placed: null, boxes: c.boxes.toSpliced(i, 1) }))}
          add={() => edit((c) => void c.boxes.push(newBox('deep', c.boxes.at(-1)?.slots.length ?? 10)))}
        />
      </DialogContent>
      <DialogActions>
        <Press main says={text.done} onPress={onClose} />
      </DialogActions>
    </Dialog>
  )
}
