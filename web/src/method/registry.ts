import { lazy, type ComponentType } from 'react'
import type { Schemas } from '../api/client'
import { DribbleMix } from './dribble/Mix'
import type { Method, Worked } from './kind'
import type { Workplace } from './workplace'

export interface MethodParts {
  /** Its Mix screen. */
  Mix: ComponentType<Workplace>
  /** A saved batch of it: its docket. */
  Docket: ComponentType<{ batch: Schemas['Batch'] }>
  /** What was worked out: its hives from above. */
  Boards: ComponentType<{ batch: Worked }>
}

const stripSaved = () => import('./strip/Saved')
const padSaved = () => import('./pad/Saved')
const dribbleSaved = () => import('./dribble/Saved')

/** What each method puts on the shared screens. The first view brings the dribble with it. */
export const PARTS: Record<Method, MethodParts> = {
  dribble: {
    Mix: DribbleMix,
    Docket: lazy(async () => ({ default: (await dribbleSaved()).SavedDocket })),
    Boards: lazy(async () => ({ default: (await dribbleSaved()).SavedBoards })),
  },
  strip: {
    Mix: lazy(() => import('./strip/Mix')),
    Docket: lazy(async () => ({ default: (await stripSaved()).SavedDocket })),
    Boards: lazy(async () => ({ default: (await stripSaved()).SavedBoards })),
  },
  pad: {
    Mix: lazy(() => import('./pad/Mix')),
    Docket: lazy(async () => ({ default: (await padSaved()).SavedDocket })),
    Boards: lazy(async () => ({ default: (await padSaved()).SavedBoards })),
  },
}
