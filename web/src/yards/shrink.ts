const LONGEST = 2000
/** What the server takes, bytes; and what a phone can still open. */
const MOST = 2 * 1024 * 1024
const OPENS = 30 * 1024 * 1024

export type Unfit = 'no_photo' | 'too_large'

/** A photo as small as it must be to be kept; or why it cannot be. */
export async function shrink(file: Blob): Promise<Blob | Unfit> {
  if (file.size > OPENS) return 'too_large'
  const picture = await createImageBitmap(file).catch(() => undefined)
  if (!picture) return 'no_photo'
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(picture.width * scale))
  canvas.height = Math.max(1, Math.round(picture.height * scale))
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height)
  for (const quality of [0.85, 0.7, 0.5, 0.3]) {
    const small = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', quality))
    if (small && small.size <= MOST) return small
  }
  return 'too_large'
}
