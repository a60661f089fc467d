import { ask } from '../kit'

export const settingsQuery = ask(['settings'], '/api/settings')
