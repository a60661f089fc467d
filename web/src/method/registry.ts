import { lazy, type ComponentType } from 'react'
import type { Schemas } from '../api/client'
import { DribbleMix } from './dribble/Mix'
import type { Method } from './kind'
import type { Workplace } from './Frame'

export interface MethodParts {
  /** Its Mix screen. */
  Mix: ComponentType<Workplace>
  /** A kept batch of it: its docket. */
  Docket: ComponentType<{ batch: Schemas['Batch'] }>
  /** A kept batch of it: its hives from above. */
  Boards: ComponentType<{ batch: Schemas['Batch'] }>
}

const stripKept = () => import('./strip/Kept')
const padKept = () => import('./pad/Kept')
const dribbleKept = () => import('./dribble/Kept')

/** What each method puts on the shared screens. The first view brings the dribble with it. */
export const PARTS: Record<Method, MethodParts> = {
  dribble: {
    Mix: DribbleMix,
    Docket: lazy(async () => ({ default: (await dribbleKept()).KeptDocket })),
    Boards: lazy(async () => ({ default: (await dribbleKept()).KeptBoards })),
  },
  strip: {
    Mix: lazy(() => import('./strip/Mix')),
    Docket: lazy(async () => ({ default: (await stripKept()).KeptDocket })),
    Boards: lazy(async () => ({ default: (await stripKept()).KeptBoards })),
  },
  pad: {
    Mix: lazy(() => import('./pad/Mix')),
    Docket: lazy(async () => ({ default: (await padKept()).KeptDocket })),
    Boards: lazy(async () => ({ default: (await padKept()).KeptBoards })),
  },
}
