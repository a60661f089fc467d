import Alert from '@mui/material/Alert'
import type { Schemas } from '../api/client'
import { plain, Press } from '../kit'
import { text } from './text'
import type { Outbox } from '../outbox/useOutbox'

/** What the server could not keep: it stays here with the reason until somebody has seen to it. */
export function Refused({ outbox, round }: { outbox: Outbox; round: Schemas['Visit'] }) {
  if (outbox.refused.length === 0) return null
  const name = (id: string) => round.colonies.find((c) => c.id === id)?.hive.name ?? id.slice(0, 8)
  return (
    <Alert severity="error" variant="outlined" sx={{ my: 1 }} data-refused>
      {text.refusedTitle}
      {outbox.refused.map((w) => (
        <p key={w.id}>
          <b>{name(w.application.colony_id)}</b> {plain(w.application.amount ?? 0)}{' '}
          {round.all.words[w.application.reason ?? ''] ?? ''} · {w.refused}{' '}
          <Press small says={text.drop} onPress={() => void outbox.remove(w.id)} />
        </p>
      ))}
    </Alert>
  )
}
