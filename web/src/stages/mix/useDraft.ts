import { produce } from 'immer'
import { useCallback, useEffect, useState } from 'react'
import { useUnits } from '../../units/units'
import { emptyDraft, type Draft } from './draft'
import { inUnits } from './inUnits'

const KEY = 'keeler.mix.draft'

function kept(): Draft | undefined {
  try {
    const draft = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Draft | null
    return draft?.version === 1 ? draft : undefined
  } catch {
    return undefined
  }
}

/** Puts a plan on the bench from elsewhere, to be found when the Mix screen opens. */
export const keepDraft = (draft: Draft) => localStorage.setItem(KEY, JSON.stringify(draft))

export type Change = (recipe: (draft: Draft) => void) => void

/** The plan being typed. It outlives a reload; a first visit begins with what is offered. */
export function useDraft(offered: Draft | undefined) {
  const { system } = useUnits()
  const [draft, setDraft] = useState<Draft>(() => kept() ?? offered ?? emptyDraft())
  if (draft.units !== system) setDraft(inUnits(draft, system))
  useEffect(() => keepDraft(draft), [draft])
  const change = useCallback<Change>((recipe) => setDraft((d) => produce(d, recipe)), [])
  return { draft, change, replace: setDraft }
}
