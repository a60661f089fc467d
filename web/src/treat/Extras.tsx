import { memo, useState } from 'react'
import { client, data, type Schemas } from '../api/client'
import { Press, queries, Said, useSaving } from '../kit'
import { text } from './text'
import styles from './treat.module.css'
import { roundKey } from '../outbox/queue'

interface Props {
  round: Schemas['Visit']
  ticked: string[]
  onTick: (extras: string[]) => void
}

/** What else is done on the visit, as ticks; which ones are offered is chosen by season. */
export const Extras = memo(function Extras({ round, ticked, onTick }: Props) {
  const [choosing, setChoosing] = useState(false)
  const choose = useSaving(
    (extras: string[]) =>
      data(
        client.PUT('/api/extras', {
          body: { season: round.season as Schemas['VisitExtras']['season'], extras },
        }),
      ),
    () => void queries.invalidateQueries({ queryKey: roundKey(round.job_id, round.day) }),
  )
  const turn = (list: string[], e: string) => (list.includes(e) ? list.filter((x) => x !== e) : [...list, e])
  const shown = choosing ? round.all.extras : round.extras
  const on = choosing ? round.extras : ticked
  return (
    <div className={styles.extras} data-extras>
      {shown.map((e) => (
        <button
          key={e}
          type="button"
          aria-pressed={on.includes(e)}
          onClick={() => (choosing ? choose.save(turn(round.extras, e)) : onTick(turn(ticked, e)))}
          data-extra={e}
        >
          {on.includes(e) ? '✓ ' : ''}
          {round.all.words[e]}
        </button>
      ))}
      <Press
        small
        says={choosing ? text.extrasDone : text.extrasChoose}
        onPress={() => setChoosing(!choosing)}
        data-choose-extras
      />
      <Said message={choose.message} />
    </div>
  )
})
