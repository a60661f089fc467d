import { produce } from 'immer'
import { useCallback, useEffect, useState } from 'react'
import { readKept, writeKept } from '../kit/storage'
import { useUnits } from '../kit/units'
import { emptyDraft, type Change, type Draft } from './draft'
import { inUnits } from './inUnits'
import type { Method } from './kind'

const KEY = 'keeler.mix.draft'

/** What was kept; nothing of another shape than today's. */
function kept(): Draft | undefined {
  const draft = readKept(KEY) as Draft | undefined
  return draft?.version === emptyDraft().version ? draft : undefined
}

/** Puts a plan on the bench from elsewhere, to be found when the Mix screen opens. */
export const keepDraft = (draft: Draft) => writeKept(KEY, draft)

/** The plan being typed. It outlives a reload; a first visit begins with what is offered. */
export function useDraft(offered: Draft | undefined) {
  const { system } = useUnits()
  const [draft, setDraft] = useState<Draft>(() => kept() ?? offered ?? emptyDraft())
  if (draft.units !== system) setDraft(inUnits(draft, system))
  useEffect(() => keepDraft(draft), [draft])
  const change = useCallback<Change>((recipe) => setDraft((d) => produce(d, recipe)), [])
  return { draft, change, replace: setDraft }
}

/** The change of one method's own part of the draft. */
export const useOwn = <M extends Method>(change: Change, method: M) =>
  useCallback<Change<Draft[M]>>((recipe) => change((d) => recipe(d[method])), [change, method])
