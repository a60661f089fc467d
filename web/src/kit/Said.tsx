import Alert from '@mui/material/Alert'
import { told } from './told'

/** What went wrong with the whole of a form, or nothing. */
export function Said({ message }: { message: string | undefined }) {
  if (message === undefined) return null
  return (
    <Alert severity="error" variant="outlined" sx={{ my: 1 }} data-said>
      {told(message)}
    </Alert>
  )
}
