import { useColorScheme } from '@mui/material/styles'
import { useMutation } from '@tanstack/react-query'
import { Link, NavLink, useMatch } from 'react-router'
import { client, data, type Schemas } from '../api/client'
import { clock, day, Press, queries, useUnits, useVolumeOnBench, volume } from '../kit'
import styles from './Header.module.css'
import { text } from './text'

/** The spine: the stages of the work that there are, and at its end the day. */
export function Header({ start, onKeys }: { start: Schemas['Start']; onKeys: () => void }) {
  const { system, choose } = useUnits()
  const { colorScheme, setMode } = useColorScheme()
  const ml = useVolumeOnBench()
  const atBench = useMatch('/bench/:id') !== null
  const inYard = useMatch('/rounds/*') !== null
  const made = ml === undefined ? undefined : volume(ml, system)
  return (
    <header className={`${styles.header} no-print`}>
      <div className={styles.mark}>
        <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true">
          <path d="M3 8h20l-2.6 14H5.6zM4.2 13h17.6M4 8c0-3 2-4.5 4.5-4.5M22 8c0-3-2-4.5-4.5-4.5" />
        </svg>
        {text.name}
      </div>
      <nav className={styles.spine} aria-label={text.stages}>
        <NavLink to="/decide">
          <b>{text.decide}</b>
          <span>{text.decideSub}</span>
        </NavLink>
        <NavLink to="/" end className={({ isActive }) => (isActive || atBench ? 'active' : '')}>
          <b>{text.mix}</b>
          <span>{made ? text.mixVolume(`${made.value} ${made.unit}`) : text.mixIdle}</span>
        </NavLink>
        <NavLink to="/treat" className={({ isActive }) => (isActive || inYard ? 'active' : '')}>
          <b>{text.treat}</b>
          <span>{text.treatSub}</span>
        </NavLink>
        <NavLink to="/check">
          <b>{text.check}</b>
          <span>{text.checkSub}</span>
        </NavLink>
        <NavLink to="/register">
          <b>{text.register}</b>
          <span>{text.registerSub}</span>
        </NavLink>
        <NavLink to="/yards">
          <b>{text.yards}</b>
          <span>{text.yardsSub}</span>
        </NavLink>
        <NavLink to="/batches">
          <b>{text.batches}</b>
          <span>{text.batchesSub}</span>
        </NavLink>
      </nav>
      <div className={styles.tools}>
        <Press
          small
          says={system === 'us' ? text.us : text.metric}
          aria-label={text.units}
          onPress={() => choose(system === 'us' ? 'metric' : 'us')}
        />
        <Press
          small
          says={colorScheme === 'dark' ? text.daylight : text.dusk}
          onPress={() => setMode(colorScheme === 'dark' ? 'light' : 'dark')}
        />
        <Press small says="?" className={styles.desk} aria-label={text.keys} onPress={onKeys} />
      </div>
      <Link to={start.me ? '/people' : '/yards'} className={styles.who} data-who>
        {start.me?.login ?? text.signIn}
      </Link>
      <div className={styles.sky}>
        <b>{start.me?.operation ?? start.place ?? day(start.now)}</b>
        <span>
          {start.demo ? `${day(start.now)} ` : clock(start.now)}
          {start.demo && start.me && <DemoClock />}
        </span>
      </div>
    </header>
  )
}

/** The demo's clock stands still until somebody moves it on. */
function DemoClock() {
  const moving = useMutation({
    mutationFn: () => data(client.POST('/api/demo/clock', { body: { days: 1 } })),
    onSuccess: async (start) => {
      queries.setQueryData(['start'], start)
      await queries.invalidateQueries()
    },
  })
  return (
    <button
      type="button"
      className={styles.on}
      title={text.demoHint}
      onClick={() => moving.mutate()}
      data-demo-clock
    >
      {text.demo}
    </button>
  )
}
