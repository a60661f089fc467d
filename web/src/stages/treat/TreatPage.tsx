import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { client } from '../../api/client'
import { Mark } from '../../drawing/Mark'
import { day } from '../../shell/day'
import { useStart } from '../../shell/useStart'
import { text } from './text'
import styles from './treat.module.css'

/** All goings-out of the jobs there are. */
export default function TreatPage() {
  const today = useStart().now.slice(0, 10)
  const jobs = useQuery({
    queryKey: ['jobs'],
    queryFn: async ({ signal }) => (await client.GET('/api/jobs', { signal })).data?.jobs ?? [],
    networkMode: 'always',
  })
  return (
    <main className={styles.page}>
      <h1>{text.title}</h1>
      <p className="quiet">{text.intro}</p>
      {jobs.data?.length === 0 && (
        <p>
          {text.none} <Link to="/decide">{text.toDecide}</Link>
        </p>
      )}
      {jobs.data
        ?.filter((j) => j.method !== 'dribble' && j.days.every((d) => d.day < today))
        .map((j) => (
          <div key={j.id} className={styles.outing} data-taking-out={j.name}>
            <Mark method={j.method} />
            <span>
              <b>{j.name}</b>
            </span>
            <span />
            <Button
              component={Link}
              to={`/rounds/${j.id}/${today}`}
              variant="contained"
              size="large"
              data-go-out
            >
              {text.startOut}
            </Button>
          </div>
        ))}
      {jobs.data?.flatMap((j) =>
        j.days.map((d) => (
          <div key={j.id + d.day} className={styles.outing} data-outing={d.day}>
            <Mark method={j.method} />
            <span>
              <b>{day(d.day)}</b>
              {j.name} · {text.colonies(d.colonies)}
            </span>
            <Button component={Link} to={`/rounds/${j.id}/${d.day}/sheet`}>
              {text.sheet}
            </Button>
            <Button
              component={Link}
              to={`/rounds/${j.id}/${d.day}`}
              variant="contained"
              size="large"
              data-go-round
            >
              {text.start}
            </Button>
          </div>
        )),
      )}
      <p>
        <Link to="/practice">{text.practice}</Link>
      </p>
    </main>
  )
}
