import { Suspense } from 'react'
import type { Schemas } from '../../api/client'
import { adopt } from './draft'
import { METHODS } from './methods'
import { text } from './text'
import { useDraft } from './useDraft'

/** Mix: what to weigh for these hives, and what each gets, by the method chosen. */
export function MixScreen({ start }: { start: Schemas['Start'] }) {
  const bench = useDraft(start.draft && adopt(start.draft, start.place ?? ''))
  const { Mix } = METHODS[bench.draft.method]
  return (
    <Suspense fallback={<p style={{ padding: 24 }}>{text.waiting}</p>}>
      <Mix start={start} {...bench} />
    </Suspense>
  )
}
