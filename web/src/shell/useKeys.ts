import { useEffect } from 'react'

const FIELDS = 'input, textarea, select, [contenteditable], [role="dialog"]'

/** The keys that work on every page, outside fields: ? tells all of them, / and Ctrl K find something. */
export function useKeys(open: (what: 'keys' | 'find') => void) {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const finds = (e.ctrlKey || e.metaKey) && e.key === 'k'
      if (!finds && e.target instanceof Element && e.target.closest(FIELDS)) return
      if (!finds && e.key !== '/' && e.key !== '?') return
      e.preventDefault()
      open(e.key === '?' ? 'keys' : 'find')
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  }, [open])
}
