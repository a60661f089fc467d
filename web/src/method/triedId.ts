const KEY = 'keeler.mix.tried'

/**
 * The id under which this content is kept: the same one each time it is sent,
 * also after a reload, so that a batch whose answer got lost counts once.
 */
export function triedId(content: string): string {
  const [before, id] = (localStorage.getItem(KEY) ?? '').split('\n', 2)
  if (before === content && id) return id
  const fresh = crypto.randomUUID()
  localStorage.setItem(KEY, `${content}\n${fresh}`)
  return fresh
}
