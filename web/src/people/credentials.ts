import { type Entry } from '../kit'
import { text } from './text'

/** A name and a new password. */
export const CREDENTIALS: Entry<'login' | 'password'>[] = [
  { of: 'login', as: 'words', label: text.login, autoComplete: 'username' },
  {
    of: 'password',
    as: 'secret',
    label: text.password,
    autoComplete: 'new-password',
    hint: () => text.passwordHint,
  },
]
