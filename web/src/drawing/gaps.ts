import type { Slot } from './Board'

/** Whether a gap lies beside a comb, and so can be tapped; the server has the last word. */
export const besideComb = (slots: readonly Slot[], gap: number) =>
  slots[gap] === 'comb' || slots[gap - 1] === 'comb'
