import { Problem } from '../../api/client'
import { text } from '../text'

/** A failed writing in words: what the server said, or that it does not answer. */
export const said = (error: Error) =>
  error instanceof Problem && error.status < 500
    ? Object.values(error.faults).join(' ') || error.message
    : text.lost
