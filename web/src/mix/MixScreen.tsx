import { Suspense } from 'react'
import type { Schemas } from '../api/client'
import { PARTS } from '../method/registry'
import { text } from '../method/text'
import { useDraft } from '../method/useDraft'

/** Mix: what to weigh for these hives, and what each gets, by the method chosen. */
export default function MixScreen({ start }: { start: Schemas['Start'] }) {
  const bench = useDraft(start)
  const { Mix } = PARTS[bench.draft.method]
  return (
    <Suspense fallback={<p style={{ padding: 24 }}>{text.waiting}</p>}>
      <Mix start={start} {...bench} />
    </Suspense>
  )
}
