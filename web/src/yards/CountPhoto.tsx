import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { Schemas } from '../api/client'
import { photoOf } from '../outbox/photos'
import { useStart } from '../kit'
import { Marked } from './Marked'
import { text } from './text'

/** The marks of a count on its photo: that kept with it, or the one on this phone. */
export function CountPhoto({ count }: { count: Schemas['MiteCount'] }) {
  const [open, setOpen] = useState(false)
  const by = useStart().me?.who ?? ''
  const here = useQuery({
    queryKey: ['photo', count.id],
    queryFn: async () => (await photoOf(count.id, by))?.image ?? null,
    enabled: open && !count.photo,
  })
  const src = count.photo ? `/api/counts/${count.id}/photo` : here.data
  return (
    <details onToggle={(e) => setOpen(e.currentTarget.open)} data-count-photo>
      <summary>{text.onPhoto(count.marks?.length ?? 0)}</summary>
      {open && src && <Marked src={src} marks={count.marks ?? []} />}
      {open && !count.photo && here.data === null && <p className="quiet">{text.photoElsewhere}</p>}
    </details>
  )
}
