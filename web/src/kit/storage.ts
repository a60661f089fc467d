// The browser's storage may be full or forbidden: then nothing outlives the page, but it
// goes on.

/** What was kept under a key; undefined where there is nothing, or nothing readable. */
export function readKept(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') ?? undefined
  } catch {
    return undefined
  }
}

/** Keeps a value under a key; undefined puts it down. */
export function writeKept(key: string, value: unknown) {
  try {
    if (value === undefined) localStorage.removeItem(key)
    else localStorage.setItem(key, JSON.stringify(value))
  } catch {
    return
  }
}
