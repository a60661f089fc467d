import { NavLink, useLocation } from 'react-router'
import styles from './Foot.module.css'
import { text } from './text'

const PLACES = [
  { to: '/', label: text.today, drawing: <path d="M12 3a9 9 0 1 0 .01 0M12 7v5l4 2" /> },
  { to: '/yards', label: text.yards, drawing: <path d="M4 9h16v11H4zM2 5h20v4H2z" /> },
  { to: '/treat', label: text.treat, drawing: <path d="M12 3c4 6 7 9 7 12a7 7 0 0 1-14 0c0-3 3-6 7-12z" /> },
  { to: '/check', label: text.check, drawing: <path d="M3 13l6 6L21 6" /> },
  { to: '/more', label: text.more, drawing: <path d="M4 7h16M4 12h16M4 17h16" /> },
]

/** What fills the hand in the yard has the foot of the screen to itself. */
const AT_WORK = /^\/(rounds|bench|practice)\/|^\/practice|^\/yards\/[^/]+\/(inspect|count|boards)/

/** On a phone, the places that one goes to in the yard. */
export function Foot() {
  const { pathname } = useLocation()
  if (AT_WORK.test(pathname)) return null
  return (
    <nav className={`${styles.foot} no-print`} aria-label={text.places}>
      {PLACES.map(({ to, label, drawing }) => (
        <NavLink key={to} to={to} end={to === '/'}>
          <svg width="24" height="24" viewBox="0 0 24 24" aria-hidden="true">
            {drawing}
          </svg>
          {label}
        </NavLink>
      ))}
    </nav>
  )
}
