import { Link } from 'react-router'
import page from '../kit/page.module.css'
import styles from './BookPage.module.css'
import { text } from './text'

const PLACES = [
  ['register', '/register'],
  ['record', '/record'],
  ['batches', '/batches'],
  ['jobs', '/jobs'],
  ['stock', '/stock'],
  ['cards', '/cards'],
  ['thresholds', '/thresholds'],
  ['compare', '/compare'],
  ['calendar', '/calendar'],
] as const

const FILES = [
  ['registerFile', '/api/export/register'],
  ['coloniesFile', '/api/export/colonies'],
] as const

/** Everything that is written down, each one tap away. */
export default function BookPage() {
  return (
    <main className={page.page}>
      <h1>{text.book}</h1>
      <nav className={styles.places} aria-label={text.book}>
        {PLACES.map(([of, to]) => (
          <Link key={to} to={to} className={styles.place}>
            <b>{text.places[of]}</b>
            <span className="quiet">{text.placesSub[of]}</span>
          </Link>
        ))}
      </nav>
      <section className={styles.files}>
        <h2>{text.files}</h2>
        <div className={styles.places}>
          {FILES.map(([of, href]) => (
            <a key={href} href={href} className={styles.place}>
              <b>{text.places[of]}</b>
              <span className="quiet">{text.placesSub[of]}</span>
            </a>
          ))}
        </div>
      </section>
    </main>
  )
}
