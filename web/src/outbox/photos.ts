import { openDB, type DBSchema } from 'idb'
import { FOR_WHOM } from '../api/client'

/** A photo of a board: on the phone, under the id that its count has or will have. */
interface Photo {
  id: string
  /** Who took it: nobody else is shown it. */
  by: string
  image: Blob
  /** It is to be kept with its count. */
  attach: boolean
}

interface Album extends DBSchema {
  photos: { key: string; value: Photo }
}

const open = () =>
  openDB<Album>('keeler-photos', 1, {
    upgrade: (db) => void db.createObjectStore('photos', { keyPath: 'id' }),
  })

let opened: ReturnType<typeof open> | undefined
const album = () => (opened ??= open())

/** Keeps a photo on this phone; false when its store does not take it. */
export async function keepPhoto(photo: Photo): Promise<boolean> {
  try {
    await (await album()).put('photos', photo)
    return true
  } catch {
    return false
  }
}

/** The photo of a count, where this person took it on this phone. */
export async function photoOf(id: string, by: string): Promise<Photo | undefined> {
  try {
    const photo = await (await album()).get('photos', id)
    return photo?.by === by ? photo : undefined
  } catch {
    return undefined
  }
}

/**
 * Sends the photos that are to be kept with counts which have arrived; true where any went. What is
 * refused stays on the phone.
 */
export async function sendPhotos(me: string, waits: (id: string) => boolean): Promise<boolean> {
  let went = false
  try {
    const db = await album()
    for (const photo of await db.getAll('photos')) {
      if (!photo.attach || photo.by !== me || waits(photo.id)) continue
      const answer = await fetch(`/api/counts/${photo.id}/photo`, {
        method: 'PUT',
        headers: { 'Content-Type': photo.image.type, [FOR_WHOM]: me },
        body: photo.image,
      })
      if (answer.ok) {
        await db.delete('photos', photo.id)
        went = true
      } else if (answer.status < 500 && answer.status !== 401)
        await db.put('photos', { ...photo, attach: false })
    }
  } catch {
    return went // no signal: with the next line
  }
  return went
}
