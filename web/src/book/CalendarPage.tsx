import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { client, data } from '../api/client'
import { ask, Asking, date, OnceLink, Press, Said, stale, useSaving, Waiting } from '../kit'
import page from '../kit/page.module.css'
import { Reminders } from './Reminders'
import { text } from './text'

/** What there is to come back for, in the calendar that one uses anyway. */
export default function CalendarPage() {
  const feed = useQuery(ask(['feed'], '/api/feed'))
  const making = useSaving(
    () => data(client.POST('/api/feed')),
    () => stale('feed'),
  )
  const ending = useSaving(
    async () => client.DELETE('/api/feed'),
    () => {
      making.reset()
      stale('feed')
    },
  )
  const since = feed.data?.made_on
  return (
    <main className={page.page}>
      <div className={page.head}>
        <h1>{text.places.calendar}</h1>
        <span className="quiet">{text.calendarWhy}</span>
      </div>
      <section className={page.panel}>
        <h2>{text.feed}</h2>
        <p className="quiet">{text.feedWhy}</p>
        {!feed.data && <Waiting query={feed} />}
        {making.out?.token && <OnceLink path={`/api/calendar/${making.out.token}`} says={text.feedOnce} />}
        {since && !making.out && <p>{text.feedSince(date(since))}</p>}
        <Said message={making.message ?? ending.message} />
        <p className={page.bar}>
          {since ? (
            <Asking
              action={text.feedAgain}
              hint={text.feedAgainHint}
              yes={text.feedMake}
              onYes={() => making.save()}
            />
          ) : (
            <Press main says={text.feedMake} onPress={() => making.save()} data-make-feed />
          )}
          {since && <Press says={text.feedEnd} onPress={() => ending.save()} data-end-feed />}
        </p>
      </section>
      <Reminders />
      <section className={page.panel}>
        <h2>{text.calendarFile}</h2>
        <p className="quiet">{text.calendarFileWhy}</p>
        <Button component="a" variant="outlined" href="/api/calendar">
          {text.calendarSave}
        </Button>
      </section>
    </main>
  )
}
