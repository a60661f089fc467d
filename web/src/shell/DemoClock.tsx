import { useMutation } from '@tanstack/react-query'
import { client, data } from '../api/client'
import { day, queries } from '../kit'
import styles from './Header.module.css'
import { text } from './text'

/** The demo's clock stands still until somebody who is signed in moves it on. */
export function DemoClock({ now, may }: { now: string; may: boolean }) {
  const moving = useMutation({
    mutationFn: () => data(client.POST('/api/demo/clock', { body: { days: 1 } })),
    onSuccess: async (start) => {
      queries.setQueryData(['start'], start)
      await queries.invalidateQueries()
    },
  })
  return (
    <>
      <span className={styles.date}>{day(now)}</span>
      {may && (
        <button
          type="button"
          className={styles.on}
          title={text.demoHint}
          onClick={() => moving.mutate()}
          data-demo-clock
        >
          {text.demo}
        </button>
      )}
    </>
  )
}
