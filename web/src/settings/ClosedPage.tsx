import { Link } from 'react-router'
import { date, useStart } from '../kit'
import page from '../kit/page.module.css'
import { Erasing } from './Erasing'
import { Everything } from './Everything'
import { text } from './text'

/** What is left of an operation that was closed: its register, to be read. */
export default function ClosedPage() {
  const { me } = useStart()
  return (
    <main className={page.page} data-closed>
      <h1>{text.closed(me?.operation ?? '')}</h1>
      <p>{text.closedUntil(date(me?.kept_until ?? ''))}</p>
      <p>
        <Link to="/record">{text.closedRecord}</Link>
      </p>
      <p>
        <Link to="/register">{text.closedRegister}</Link>
      </p>
      <Everything />
      <Erasing />
    </main>
  )
}
