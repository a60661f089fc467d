import { readKept, writeKept } from '../kit'

const KEY = 'keeler.mix.tried'

/**
 * The id under which this content is kept: the same one each time it is sent,
 * also after a reload, so that a batch whose answer got lost counts once.
 */
export function triedId(content: string): string {
  const before = readKept(KEY) as { content: string; id: string } | undefined
  if (before?.content === content) return before.id
  const id = crypto.randomUUID()
  writeKept(KEY, { content, id })
  return id
}
