import { useEffect } from 'react'

/** The arrows go from one thing to do to the next; s skips the one that has the focus. */
export function useTaskKeys() {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.target instanceof HTMLInputElement || e.ctrlKey || e.metaKey || e.altKey) return
      const all = [...document.querySelectorAll<HTMLElement>('[data-followup] [data-do]')]
      const at = all.findIndex((b) => b.closest('[data-followup]')?.contains(document.activeElement))
      const to = { ArrowDown: at + 1, ArrowUp: Math.max(0, at - 1) }[e.key]
      if (to !== undefined) all[Math.min(to, all.length - 1)]?.focus()
      else if (e.key === 's')
        all[at]?.closest('[data-followup]')?.querySelector<HTMLElement>('[data-skip]')?.click()
      else return
      e.preventDefault()
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  }, [])
}
