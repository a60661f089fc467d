import type { ReactNode } from 'react'
import type { Schemas } from '../api/client'

type Method = Schemas['BatchSummary']['method']

const SHAPES: Record<Method, ReactNode> = {
  dribble: <path fill="var(--drop)" d="M11 1c5 8 9 12 9 17a9 9 0 0 1-18 0c0-5 4-9 9-17z" />,
  strip: <rect fill="var(--strip)" x="7" y="1" width="8" height="26" rx="2" />,
  pad: <rect fill="var(--pad)" x="2" y="5" width="18" height="18" rx="5" />,
}

/** A method's mark: always its shape and its colour together. */
export function Mark({ method }: { method: Method }) {
  return (
    <svg width="22" height="28" viewBox="0 0 22 28" aria-hidden="true">
      {SHAPES[method]}
    </svg>
  )
}
