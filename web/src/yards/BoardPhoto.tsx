import { useEffect, useState } from 'react'
import type { Schemas } from '../api/client'
import { keepPhoto, photoOf } from '../outbox/photos'
import { Press, Said, useStart } from '../kit'
import { Marked } from './Marked'
import { shrink } from './shrink'
import styles from './BoardPhoto.module.css'
import { text } from './text'

interface Props {
  /** Of the count that it will belong to. */
  id: string
  marks: Schemas['Mark'][]
  onMarks: (marks: Schemas['Mark'][]) => void
  onClose: () => void
}

/** Mites tapped on a photo of the board. It stays on this phone, unless it is kept with the count. */
export function BoardPhoto({ id, marks, onMarks, onClose }: Props) {
  const by = useStart().me?.who ?? ''
  const [image, setImage] = useState<Blob>()
  const [attach, setAttach] = useState(false)
  const [unfit, setUnfit] = useState<string>()
  useEffect(() => {
    let gone = false
    void photoOf(id, by).then((kept) => {
      if (gone || !kept) return
      setImage(kept.image)
      setAttach(kept.attach)
    })
    return () => {
      gone = true
    }
  }, [id, by])
  const take = async (file: File | undefined) => {
    if (!file) return
    const small = await shrink(file)
    if (typeof small === 'string') {
      setUnfit(text.unfit[small])
      return
    }
    setUnfit((await keepPhoto({ id, by, image: small, attach })) ? undefined : text.photoNotKept)
    setImage(small)
    onMarks([])
  }
  const tick = (attach: boolean) => {
    setAttach(attach)
    if (image) void keepPhoto({ id, by, image, attach })
  }
  return (
    <div className={styles.photo} data-board-photo>
      <label className={styles.take}>
        {image ? text.otherPhoto : text.takePhoto}
        <input
          type="file"
          accept="image/*"
          capture="environment"
          onChange={(e) => void take(e.target.files?.[0])}
        />
      </label>
      <Said message={unfit} />
      {image && (
        <>
          <Marked src={image} marks={marks} onMarks={onMarks} />
          <label className={styles.attach}>
            <input type="checkbox" checked={attach} onChange={(e) => tick(e.target.checked)} />
            {text.attach}
          </label>
        </>
      )}
      <p className="quiet">{text.photoHint}</p>
      <Press says={text.noPhoto} onPress={onClose} />
    </div>
  )
}
