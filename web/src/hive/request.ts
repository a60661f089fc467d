import type { Schemas } from '../api/client'
import { type Reader } from '../kit'
import { comb, type DraftBox, type DraftColony } from './hive'

/** The colonies of a request, from what was drawn and typed. */
export const readColonies = (colonies: readonly DraftColony[], r: Reader) =>
  colonies.map((c, i) => ({
    name: c.name,
    nuc: c.nuc,
    boxes: c.boxes.map((b, j) => readBox(b, `colonies[${i}].boxes[${j}]`, r)),
  }))

function readBox(b: DraftBox, path: string, r: Reader) {
  const counted = b.seams === null ? r.seams(`${path}.counted`, b.counted) : undefined
  return {
    kind: b.depth,
    slots: b.slots,
    ...(b.brood.some(Boolean) ? { brood: b.brood } : {}),
    ...(b.seams === null ? { counted: counted ?? 0 } : { seams: b.seams }),
  }
}

/** The inverse of readColonies. */
export const adoptColonies = (colonies: readonly Schemas['StripColony'][] = []): DraftColony[] =>
  colonies.map((c) => ({
    key: crypto.randomUUID(),
    name: c.name,
    nuc: c.nuc ?? false,
    placed: c.placed ?? null,
    boxes: c.boxes.map((b) => {
      const slots = (b.slots as DraftBox['slots'] | undefined) ?? comb(b.frames ?? 10)
      const seams = Array.from({ length: slots.length + 1 }, (_, i) => b.seams?.[i] ?? 0)
      return {
        depth: b.kind,
        slots,
        seams: b.counted === undefined ? seams : null,
        counted: b.counted ? String(b.counted) : '',
        brood: b.brood ?? [],
      }
    }),
  }))
