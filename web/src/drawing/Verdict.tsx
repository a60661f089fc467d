import type { ReactNode } from 'react'
import type { Schemas } from '../api/client'

export type VerdictName = Schemas['Cell']['verdict']

const SHAPES: Record<VerdictName, ReactNode> = {
  fits: (
    <>
      <circle cx="11" cy="11" r="9.5" fill="var(--act)" />
      <path d="m6.5 11.5 3 3 6-7" fill="none" stroke="var(--panel)" strokeWidth="2.4" />
    </>
  ),
  with_care: (
    <>
      <circle cx="11" cy="11" r="8.5" fill="none" stroke="var(--act)" strokeWidth="2" />
      <path d="M11 2.5a8.5 8.5 0 0 1 0 17z" fill="var(--act)" />
    </>
  ),
  look_first: (
    <>
      <circle
        cx="11"
        cy="11"
        r="8.5"
        fill="none"
        stroke="var(--soft)"
        strokeWidth="2"
        strokeDasharray="3 2.4"
      />
      <path
        d="M8 9.2a3 3 0 1 1 4.2 2.7c-.8.4-1.2.8-1.2 1.7M11 15.8v.6"
        fill="none"
        stroke="var(--ink)"
        strokeWidth="2"
      />
    </>
  ),
  does_not_fit: <rect x="3" y="9" width="16" height="4" rx="1" fill="var(--soft)" />,
  must_not: <path d="M4 4l14 14M18 4 4 18" stroke="var(--acid)" strokeWidth="4.2" strokeLinecap="round" />,
}

/** How a method fits: its shape; the word stands beside it. */
export function Verdict({ is }: { is: VerdictName }) {
  return (
    <svg width="22" height="22" viewBox="0 0 22 22" aria-hidden="true">
      {SHAPES[is]}
    </svg>
  )
}
