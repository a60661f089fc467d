import type { KeyboardEvent, SyntheticEvent } from 'react'

/** A form that is sent by the page, not by the browser. */
export const onSent = (save: () => void) => (e: SyntheticEvent) => {
  e.preventDefault()
  save()
}

/** Enter goes down a column of fields, those that a selector finds. */
export const downThe = (column: string) => (e: KeyboardEvent<HTMLInputElement>) => {
  if (e.key !== 'Enter') return
  e.preventDefault()
  const all = [...document.querySelectorAll<HTMLInputElement>(column)]
  all[all.indexOf(e.currentTarget) + 1]?.focus()
}
