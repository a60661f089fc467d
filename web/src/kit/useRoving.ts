import { useEffect, useRef, type FocusEvent, type KeyboardEvent } from 'react'

const ROW = '[data-stops]'
const STOP = 'a[href], button, input'

const stops = (row: Element) => [...row.querySelectorAll<HTMLElement>(STOP)].filter((s) => s.offsetParent)

/**
 * One tab stop for much that can be pressed: the rows are marked with data-stops, what stands in
 * them has tabIndex -1, and the arrows go from one to the next. Home and End go to the ends of a
 * row, with Ctrl to the first and the last row.
 */
export function useRoving() {
  const within = useRef<HTMLDivElement>(null)
  useEffect(() => {
    // Rows come and go: one stop is always left for the Tab key.
    const keepOne = () => {
      if (!within.current?.querySelector(`${ROW} [tabindex="0"]`))
        within.current?.querySelector(`${ROW} :is(${STOP})`)?.setAttribute('tabindex', '0')
    }
    keepOne()
    const rows = new MutationObserver(keepOne)
    rows.observe(within.current!, { childList: true, subtree: true })
    return () => rows.disconnect()
  }, [])
  const onFocus = (e: FocusEvent<HTMLElement>) => {
    if (!e.target.matches(`${ROW} :is(${STOP})`)) return
    within.current
      ?.querySelectorAll(`${ROW} [tabindex="0"]`)
      .forEach((s) => s !== e.target && s.setAttribute('tabindex', '-1'))
    e.target.tabIndex = 0
  }
  const onKeyDown = (e: KeyboardEvent<HTMLElement>) => {
    const at = e.target as HTMLElement
    const row = at.closest(ROW)
    if (!row || e.altKey || e.metaKey) return
    const to = next(e.key, e.ctrlKey, at, row, within.current!)
    if (!to) return
    e.preventDefault()
    to.focus()
  }
  return { ref: within, onFocus, onKeyDown }
}

function next(key: string, ctrl: boolean, at: HTMLElement, row: Element, within: HTMLElement) {
  const here = stops(row)
  const end = ctrl && (key === 'Home' || key === 'End')
  if (end || key === 'ArrowUp' || key === 'ArrowDown') {
    const rows = [...within.querySelectorAll(ROW)].filter((r) => stops(r).length > 0)
    const to = end
      ? rows.at(key === 'Home' ? 0 : -1)
      : rows[rows.indexOf(row) + (key === 'ArrowDown' ? 1 : -1)]
    return to && nearest(at, stops(to))
  }
  switch (key) {
    case 'ArrowLeft':
      return here[here.indexOf(at) - 1]
    case 'ArrowRight':
      return here[here.indexOf(at) + 1]
    case 'Home':
      return here[0]
    case 'End':
      return here.at(-1)
  }
}

/** Of a row, what stands most nearly above or below. */
function nearest(at: HTMLElement, of: HTMLElement[]) {
  const middle = (s: HTMLElement) => {
    const { left, right } = s.getBoundingClientRect()
    return (left + right) / 2
  }
  const x = middle(at)
  return of.reduce((best, s) => (Math.abs(middle(s) - x) < Math.abs(middle(best) - x) ? s : best))
}
