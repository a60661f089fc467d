import { useState } from 'react'
import { client, type Schemas } from '../api/client'
import { Faults, may, onSent, PickDay, Press, stale, useSaving, useStart } from '../kit'
import { text } from './text'
import styles from './Together.module.css'

/** The fortnight in which all yards treat: how far each is; an owner sets it. */
export function Together({ of, today }: { of: Schemas['Fortnight'] | undefined; today: string }) {
  const owner = may(useStart().me?.role, 'owner')
  const [asking, setAsking] = useState(false)
  const [from, setFrom] = useState(of?.from ?? today)
  const saving = useSaving(
    async (body: Schemas['SetFortnight']) => client.PUT('/api/fortnight', { body }),
    () => {
      setAsking(false)
      stale('check')
    },
  )
  if (!of && !owner) return null
  return (
    <section className={styles.together} data-together={of?.from}>
      {of && (
        <>
          <h2>{text.together(of.from, of.to)}</h2>
          <ul>
            {of.yards.map((y) => (
              <li key={y.id} data-together-yard={y.name}>
                <b>{y.name}</b>
                <Share done={y.done} planned={y.planned} of={y.hives} />
                <span>{text.share(y.done, y.planned, y.hives)}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      {owner && (
        <div className="no-print">
          <Press
            small
            says={of ? text.changeTogether : text.setTogether}
            onPress={() => setAsking(!asking)}
            data-set-together
          />
        </div>
      )}
      {asking && (
        <form onSubmit={onSent(() => saving.save({ from: from.trim() }))}>
          <Faults value={{ ...saving.faults, ...(saving.message && { from: saving.message }) }}>
            <PickDay label={text.togetherFrom} path="from" value={from} min={today} onChange={setFrom} />
          </Faults>
          <p className="quiet">{text.togetherWhy}</p>
          <Press submit main says={text.save} off={from.trim() === ''} data-together-yes />
          {of && <Press says={text.noTogether} onPress={() => saving.save({})} data-together-no />}
        </form>
      )}
    </section>
  )
}

/** Hives done, and those planned, of all that stand there. */
const Share = ({ done, planned, of }: { done: number; planned: number; of: number }) => (
  <svg viewBox="0 0 200 12" preserveAspectRatio="none" aria-hidden="true">
    <rect width="200" height="12" className={styles.open} />
    <rect width={(200 * (done + planned)) / of} height="12" className={styles.planned} />
    <rect width={(200 * done) / of} height="12" className={styles.done} />
  </svg>
)
