import { useMemo } from 'react'
import type { Schemas } from '../api/client'
import { useKept } from '../kit'
import type { Waiting } from '../outbox/outbox'

type Round = Schemas['Visit']

/** What is given from. */
export interface Jar {
  batch: Schemas['VisitBatch'] | undefined
  /** It was never at the bench, and nobody has said yet that it was mixed without. */
  unsaid: boolean
  /** It was said so on this phone: what is given says it, too. */
  byHand: boolean
  /** What of it goes with each dose, where it was said so. */
  said: { by_hand?: true; keeping?: Keeping }
  left: number
  choose: (id: string) => void
  sayByHand: (keeping: Keeping | undefined) => void
}

/** How a batch is kept that was mixed without the bench. */
export type Keeping = 'room' | 'fridge'

/** The jar of a round: one that was made by itself, any other by choice alone. */
export function useJar(round: Round, waits: readonly Waiting[]): Jar {
  const chosen = useKept(`round.jar.${round.job_id}`, () => '')
  const said = useKept(`round.by_hand.${round.job_id}`, () => '')
  const batch =
    round.batches.find((b) => b.id === chosen.value) ??
    (chosen.value === ''
      ? round.batches.find((b) => b.made && b.on_hand.left > 0 && b.on_hand.keeps !== 'past')
      : undefined)
  const takenBack = new Set(waits.map((w) => w.amends))
  const poured = waits.reduce(
    (sum, w) =>
      sum +
      (w.application?.batch_id === batch?.id && !takenBack.has(w.id) ? (w.application?.amount ?? 0) : 0) -
      backOf(round, w.amends, batch?.id),
    0,
  )
  const [saidOf, keeping] = said.value.split(' ')
  const byHand = batch !== undefined && !batch.made && saidOf === batch.id
  const left = (batch?.on_hand.left ?? 0) - poured
  const { update: choose } = chosen
  const { update: say } = said
  return useMemo(
    () => ({
      batch,
      unsaid: batch !== undefined && !batch.made && !byHand,
      byHand,
      said: byHand ? { by_hand: true as const, ...(keeping && { keeping: keeping as Keeping }) } : {},
      left,
      choose: (id) => choose(() => id),
      sayByHand: (how) => say(() => [batch?.id, how].filter(Boolean).join(' ')),
    }),
    [batch, byHand, keeping, left, choose, say],
  )
}

/** What an amendment that still waits gives back to the jar. */
function backOf(round: Round, amends: string | undefined, batch: string | undefined) {
  const was = amends && round.records.find((r) => r.id === amends)
  return was && was.batch_id === batch ? (was.amount ?? 0) : 0
}
