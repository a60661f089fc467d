import { useMutation } from '@tanstack/react-query'
import { Link } from 'react-router'
import { client, data, type Schemas } from '../api/client'
import { day, queries, Said } from '../kit'
import styles from './PracticeFrame.module.css'
import { text } from './text'

/** By how many days its clock is brought forward. */
const STEPS = [1, 7, 28]

/** Around everything of a season of practice: that nothing is real, and the clock of it. */
export default function PracticeFrame({ season, now }: { season: Schemas['Practice']; now: string }) {
  const moving = useMutation({
    mutationFn: (days: number) => data(client.POST('/api/practice/clock', { body: { days } })),
    onSuccess: async (start) => {
      queries.setQueryData(['start'], start)
      await queries.invalidateQueries()
    },
  })
  return (
    <>
      <div className={styles.frame} aria-hidden />
      <div className={styles.band} role="status" data-practice={season.seed}>
        <b>{text.inPractice(season.seed)}</b>
        <span data-practice-day={now.slice(0, 10)}>{day(now)}</span>
        {STEPS.map((days) => (
          <button
            key={days}
            type="button"
            disabled={moving.isPending}
            onClick={() => moving.mutate(days)}
            data-onwards={days}
          >
            {text.onwards[days]}
          </button>
        ))}
        <Link to="/season">{text.theTruth}</Link>
        <Said message={moving.error?.message} />
      </div>
    </>
  )
}
