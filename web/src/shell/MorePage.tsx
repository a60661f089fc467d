import { Link } from 'react-router'
import page from '../kit/page.module.css'
import styles from './MorePage.module.css'
import { PAGES } from './pages'
import { text } from './text'

/** On a phone, everything that the foot has no room for. */
export default function MorePage() {
  return (
    <main className={page.page}>
      <h1>{text.more}</h1>
      <ul className={styles.list}>
        {PAGES.map(({ to, name, sub }) => (
          <li key={to}>
            <Link to={to}>
              <b>{name}</b>
              <span className="quiet">{sub}</span>
            </Link>
          </li>
        ))}
      </ul>
    </main>
  )
}
