import { useLayoutEffect, useRef } from 'react'

/** The smallest that the words around the first aid may be printed: 5.5 of 8.2 points. */
const LEAST = 0.67
const STEP = 0.02

/**
 * Makes all that stands on a label go into its frame: the words shrink together until
 * they do, and the first aid never below what label.module.css gives it.
 */
export function useFit<Frame extends HTMLElement, Content extends HTMLElement>() {
  const frame = useRef<Frame>(null)
  const content = useRef<Content>(null)
  useLayoutEffect(() => {
    const outer = frame.current
    const inner = content.current
    if (!outer || !inner) return
    const fit = () => {
      for (let scale = 1; scale >= LEAST; scale -= STEP) {
        outer.style.setProperty('--fit', scale.toFixed(2))
        if (inner.scrollHeight <= inner.clientHeight && inner.scrollWidth <= inner.clientWidth) return
      }
    }
    fit()
    // Words that come later, in whatever language, are fitted as well.
    const words = new MutationObserver(fit)
    words.observe(inner, { subtree: true, childList: true, characterData: true })
    void document.fonts.ready.then(fit)
    return () => words.disconnect()
  }, [])
  return { frame, content }
}
