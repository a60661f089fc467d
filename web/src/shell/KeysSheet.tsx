import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { text } from './text'
import { Press } from '../kit'

/** The keys that work at the desk. */
export default function KeysSheet({ onClose }: { onClose: () => void }) {
  return (
    <Dialog open onClose={onClose}>
      <DialogTitle>{text.keysTitle}</DialogTitle>
      <DialogContent>
        <dl style={{ display: 'grid', gridTemplateColumns: 'auto 1fr', gap: '6px 20px', margin: 0 }}>
          {text.keyList.flatMap(([key, does]) => [
            <dt key={key} style={{ fontWeight: 650 }}>
              {key}
            </dt>,
            <dd key={does} style={{ margin: 0 }}>
              {does}
            </dd>,
          ])}
        </dl>
      </DialogContent>
      <DialogActions>
        <Press says={text.close} onPress={onClose} />
      </DialogActions>
    </Dialog>
  )
}
