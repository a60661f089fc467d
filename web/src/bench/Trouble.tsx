import Alert from '@mui/material/Alert'
import Button from '@mui/material/Button'
import { text } from './text'
import type { Happening } from './useBench'
import { Press } from '../kit'

/** What could not be sent, was refused, or was overtaken; nothing is lost of it. */
export function Trouble({ at }: { at: Happening }) {
  if (at.unsent)
    return (
      <Alert
        severity="error"
        variant="outlined"
        data-unsent
        action={
          <Button color="inherit" onClick={at.again}>
            {text.again}
          </Button>
        }
      >
        {text.unsent}
      </Alert>
    )
  const words = at.stale ? text.stale : at.message
  if (words === undefined) return null
  const doubtful = at.tried?.kind === 'added' && at.codes['grams'] === 'doubtful'
  return (
    <Alert severity="error" variant="outlined" data-trouble>
      {words}
      {doubtful && at.tried && (
        <span style={{ display: 'block', marginTop: 8 }}>
          <Press
            harm
            outlined
            says={text.really(String(at.tried.grams))}
            data-really
            onPress={() => at.tried && void at.happen({ ...at.tried, sure: true })}
          />
          <Press says={text.notReally} onPress={at.forget} />
        </span>
      )}
    </Alert>
  )
}
