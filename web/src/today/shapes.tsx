import type { ReactNode } from 'react'
import type { Schemas } from '../api/client'

type Mark = Schemas['BandMark']

const GIVEN: Record<NonNullable<Mark['method']>, ReactNode> = {
  dribble: (
    <path transform="scale(.68)" fill="var(--drop)" d="M11 1c5 8 9 12 9 17a9 9 0 0 1-18 0c0-5 4-9 9-17z" />
  ),
  strip: <rect fill="var(--strip)" x="5" y="1" width="6" height="17" rx="1.5" />,
  pad: <rect fill="var(--pad)" x="1" y="3" width="14" height="14" rx="4" />,
}

const BOARD = <rect x="1" y="4" width="15" height="12" rx="1" />

/** A thing to do as it is drawn: a dose by its method, a board, a count, or what comes out. */
export function shapeOf({ kind, method }: Mark): ReactNode {
  switch (kind) {
    case 'visit':
      return method ? GIVEN[method] : BOARD
    case 'board_in':
      return BOARD
    case 'board_read':
      return (
        <>
          {BOARD}
          <path d="M5 7v6M8.5 7v6M12 7v6" />
        </>
      )
    case 'count':
    case 'count_before':
    case 'recount':
      return <circle cx="8" cy="10" r="6.5" />
    case 'out':
      return <path d="M8 17V4M3.5 8.5 8 4l4.5 4.5" />
    default:
      return <path d="M8 3l7 7-7 7-7-7z" />
  }
}
