import { lazy, Suspense, useState, type MouseEvent } from 'react'
import { Link, NavLink, useLocation } from 'react-router'
import type { Schemas } from '../api/client'
import { clock, day } from '../kit'
import { DemoClock } from './DemoClock'
import styles from './Header.module.css'
import { text } from './text'
import { useSubs } from './useSubs'

const OperationMenu = lazy(() => import('./OperationMenu'))

interface Props {
  start: Schemas['Start']
  onKeys: () => void
  onFind: () => void
}

/** Today, the stages of the work in their order, the places that everything stands in, and whose it is. */
export function Header({ start, onKeys, onFind }: Props) {
  const subs = useSubs()
  const { pathname, search } = useLocation()
  const closed = start.me?.kept_until !== undefined
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const on = (...roots: string[]) => (roots.some((r) => pathname.startsWith(r)) ? 'active' : undefined)
  return (
    <header className={`${styles.header} no-print`}>
      <Link to="/" className={styles.mark}>
        <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true">
          <path d="M3 8h20l-2.6 14H5.6zM4.2 13h17.6M4 8c0-3 2-4.5 4.5-4.5M22 8c0-3-2-4.5-4.5-4.5" />
        </svg>
        {text.name}
      </Link>
      <nav className={styles.nav} aria-label={text.places}>
        {start.me && !closed && <Tab to="/" end label={text.today} sub={subs.today} />}
        {!closed && (
          <>
            <span className={styles.spine}>
              {(Object.keys(STAGES) as Stage[]).map((s) => (
                <Tab key={s} to={`/${s}`} label={text[s]} sub={subs[s]} className={on(...STAGES[s])} />
              ))}
            </span>
            <Tab
              to="/yards"
              label={text.yards}
              sub={subs.yards}
              className={on('/yards', '/colonies', '/import')}
            />
            <Tab to="/book" label={text.book} sub={text.bookSub} className={on(...BOOK)} />
          </>
        )}
      </nav>
      <div className={styles.whose}>
        <button
          type="button"
          aria-haspopup="menu"
          onClick={(e: MouseEvent<HTMLElement>) => setAnchor(e.currentTarget)}
          data-menu
        >
          {start.me?.operation ?? start.place ?? text.nobody} ▾
        </button>
        <span>
          <span className={styles.who}>
            {start.me ? (
              <span data-who>{start.me.login}</span>
            ) : (
              <Link to="/yards" state={{ back: pathname === '/' ? '/mix' : pathname + search }} data-who>
                {text.signIn}
              </Link>
            )}
            {' · '}
          </span>
          {start.demo && !start.me?.practice ? (
            <DemoClock now={start.now} may={!!start.me} />
          ) : (
            <span className={styles.date}>{`${day(start.now)} ${clock(start.now)}`}</span>
          )}
        </span>
      </div>
      {anchor && (
        <Suspense>
          <OperationMenu anchor={anchor} onClose={() => setAnchor(null)} onKeys={onKeys} onFind={onFind} />
        </Suspense>
      )}
    </header>
  )
}

type Stage = 'decide' | 'mix' | 'treat' | 'check'

/** The stages, and what else stands under each. */
const STAGES: Record<Stage, string[]> = {
  decide: ['/decide', '/jobs'],
  mix: ['/mix', '/bench'],
  treat: ['/treat', '/rounds', '/practice'],
  check: ['/check', '/compare', '/reach'],
}

const BOOK = ['/book', '/register', '/record', '/batches', '/stock', '/cards', '/thresholds', '/calendar']

interface TabProps {
  to: string
  label: string
  sub: string
  end?: boolean
  className?: string | undefined
}

const Tab = ({ to, label, sub, end = false, className }: TabProps) => (
  <NavLink to={to} end={end} className={({ isActive }) => (isActive ? 'active' : (className ?? ''))}>
    <b>{label}</b>
    <span>{sub}</span>
  </NavLink>
)
