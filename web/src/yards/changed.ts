import { stale } from '../kit'

/** Has all that depends on hives, inspections and counts read again. */
export const changed = () => stale('yards', 'colonies', 'decide')
