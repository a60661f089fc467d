import Alert from '@mui/material/Alert'
import { plain, Press } from '../kit'
import { text } from './text'
import type { Outbox } from '../outbox/useOutbox'

/** What the server could not keep: it stays here with the reason until somebody has seen to it. */
export function Refused({ outbox, words }: { outbox: Outbox; words: Record<string, string> }) {
  if (outbox.refused.length === 0) return null
  return (
    <Alert severity="error" variant="outlined" sx={{ my: 1 }} data-refused>
      {text.refusedTitle}
      {outbox.refused.map((w) => (
        <p key={w.id}>
          <b>{w.name}</b> {plain(w.application?.amount ?? 0)} {words[w.application?.reason ?? ''] ?? ''} ·{' '}
          {w.refused} <Press small says={text.drop} onPress={() => void outbox.remove(w.id)} />
        </p>
      ))}
    </Alert>
  )
}
