import Menu from '@mui/material/Menu'
import MenuItem from '@mui/material/MenuItem'
import { text } from './text'
import { nextName, type Change, type DraftColony } from './hive'

interface Props {
  colony: DraftColony
  at: number
  anchor: HTMLElement
  change: Change
  onSlots: () => void
  onClose: () => void
}

/** What is done to a hive less often than tapping its seams. */
export default function ColonyMenu({ colony, at, anchor, change, onSlots, onClose }: Props) {
  const then = (action: () => void) => () => {
    onClose()
    action()
  }
  const clear = () =>
    change((d) => {
      d.colonies[at]!.placed = null
      for (const b of d.colonies[at]!.boxes)
        Object.assign(b, { seams: b.slots.map(() => 0).concat(0), counted: '', brood: [] })
    })
  const copy = () =>
    change((d) => {
      const twin = { ...structuredClone(colony), key: crypto.randomUUID(), name: nextName(d.colonies) }
      d.colonies.splice(at + 1, 0, twin)
    })
  const turnNuc = () => change((d) => void (d.colonies[at]!.nuc = !colony.nuc))
  return (
    <Menu
      anchorEl={anchor}
      open
      onClose={onClose}
      slotProps={{ paper: { component: 'section', 'aria-label': text.menu(colony.name) } }}
    >
      <MenuItem onClick={then(onSlots)}>{text.slots}</MenuItem>
      <MenuItem onClick={then(turnNuc)}>{colony.nuc ? text.nucOff : text.nucOn}</MenuItem>
      <MenuItem onClick={then(clear)}>{text.clearSeams}</MenuItem>
      <MenuItem onClick={then(copy)}>{text.copyColony}</MenuItem>
      <MenuItem onClick={then(() => change((d) => void d.colonies.splice(at, 1)))}>
        {text.removeColony}
      </MenuItem>
    </Menu>
  )
}
