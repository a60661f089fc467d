import { produce } from 'immer'
import { useCallback, useEffect, useState } from 'react'
import { readKept, type Start, useWays, writeKept } from '../kit'
import { adopt, emptyDraft, inUnits } from './begin'
import type { Change, Draft } from './draft'
import type { Method } from './kind'

const KEY = 'keeler.mix.draft'

/** What was kept; nothing of another shape than today's. */
function kept(empty: Draft): Draft | undefined {
  const draft = readKept(KEY) as Draft | undefined
  // Up to version 3 volumes could stand in fluid ounces: read as mL they would be far off.
  if (draft && (draft.version as number) === 3 && draft.units === 'metric')
    return { ...draft, version: empty.version }
  return draft?.version === empty.version ? draft : undefined
}

/** Puts a plan on the bench from elsewhere, to be found when the Mix screen opens. */
export const keepDraft = (draft: Draft) => writeKept(KEY, draft)

/** The plan being typed. It outlives a reload; a first visit begins with what is offered. */
export function useDraft({ usual, draft: offered, place = '' }: Start) {
  const { units } = useWays()
  const [draft, setDraft] = useState(() => {
    const empty = emptyDraft(usual)
    return kept(empty) ?? (offered ? adopt(offered, usual, place) : empty)
  })
  if (draft.units !== units) setDraft(inUnits(draft, units))
  useEffect(() => keepDraft(draft), [draft])
  const changeDraft = useCallback<Change>((recipe) => setDraft((d) => produce(d, recipe)), [])
  return { draft, changeDraft, replace: setDraft }
}

/** The change of one method's own part of the draft. */
export const useOwn = <M extends Method>(change: Change, method: M) =>
  useCallback<Change<Draft[M]>>((recipe) => change((d) => recipe(d[method])), [change, method])
