/** The script that this page began with: its name changes with its content. */
const own =
  import.meta.env.PROD && typeof document !== 'undefined'
    ? document.querySelector<HTMLScriptElement>('script[type=module][src]')?.src.split('/').pop()
    : undefined

let updated = false
const listeners = new Set<() => void>()

export function subscribe(tell: () => void) {
  listeners.add(tell)
  return () => void listeners.delete(tell)
}

export const isUpdated = () => updated

/** Takes note of the page that the server has now. */
export function serverHas(page: string | null) {
  if (updated || !page || !own || page === own) return
  updated = true
  listeners.forEach((tell) => tell())
}
