import type { Schemas } from '../api/client'
import { Field, Press, useKept } from '../kit'
import { stopWords, text } from './text'
import styles from './treat.module.css'

interface Props {
  colony: Schemas['VisitColony']
  /** Where what is typed is kept. */
  keep: string
  onPass: () => void
  onAgainst: (reason: string) => void
}

/** A hive that had its dose, or is in another open job: nothing more without a reason. */
export function StopFirst({ colony, keep, onPass, onAgainst }: Props) {
  const reason = useKept(keep, () => '')
  return (
    <form
      className={styles.stop}
      data-stop={colony.hive.name}
      onSubmit={(e) => {
        e.preventDefault()
        if (reason.value.trim() === '') return
        onAgainst(reason.value.trim())
        reason.putDown()
      }}
    >
      <h2>{text.stopTitle}</h2>
      {colony.stop?.map((s, i) => (
        <p key={i} data-stop-code={s.code}>
          {stopWords(s)}
        </p>
      ))}
      <p>{text.stopWhy}</p>
      <Field
        text
        label={text.stopReason}
        path="against"
        most={300}
        value={reason.value}
        onChange={reason.set}
      />
      <div className={styles.takes}>
        <Press big main says={text.stopPass} onPress={onPass} data-pass />
        <Press submit big outlined harm says={text.stopAgainst} off={!reason.value.trim()} data-against-yes />
      </div>
    </form>
  )
}
