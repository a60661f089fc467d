import type { Schemas } from '../api/client'
import decide from '../../../words/names/decide.json'
import { text } from './text'

const SHOWN = 3
const whys: Record<string, string> = decide.why

/** On which of its days the weather fits a dose, and why it does not. */
export function Sky({ days }: { days: readonly Schemas['FollowupDay'][] | undefined }) {
  if (!days || days.length === 0) return null
  const fit = days.filter((d) => d.window)
  const causes = [...new Set(days.map((d) => whys[d.cause ?? ''] ?? d.cause ?? ''))]
  return (
    <span data-sky={fit.length}>
      {fit.length > 0
        ? text.fits(
            fit
              .slice(0, SHOWN)
              .map((d) => text.hours(d.day, d.window?.from ?? 0, d.window?.to ?? 0))
              .join(', '),
          )
        : text.noneFit(days.length, causes.join(', '))}
    </span>
  )
}
