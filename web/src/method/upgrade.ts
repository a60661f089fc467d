import type { Draft } from './draft'
import { emptyDraft } from './draft'
import type { DraftColony } from '../hive/hive'

/** A draft as browsers keep it from before there were strips and pads. */
type Before = { version: 1; colonies: DraftColony[] } & Draft['dribble'] &
  Pick<Draft, 'units' | 'place' | 'rule' | 'batchName' | 'balance'>

/** The draft that was kept, in today's shape; undefined for what is none. */
export function upgrade(kept: unknown): Draft | undefined {
  const draft = kept as Draft | Before | null
  if (draft?.version === 2) return draft
  if (draft?.version !== 1) return undefined
  const { hold, aim, ratio, thinSugar, size, mean, dosing, applicator, fridge, yard, prices } = draft
  const { units, place, rule, batchName, balance } = draft
  const colonies = draft.colonies.map((c) => ({
    ...c,
    placed: null,
    boxes: c.boxes.map((b) => ({ ...b, brood: [] })),
  }))
  const dribble = { hold, aim, ratio, thinSugar, size, mean, dosing, applicator, fridge, yard, prices }
  return { ...emptyDraft(), units, place, rule, batchName, balance, colonies, dribble }
}
