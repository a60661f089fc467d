import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { ask, date, Press, Waiting } from '../kit'
import { text } from './text'
import styles from './yards.module.css'

/** The hives of a yard that ended, when somebody asks for them. */
export function ClosedHives({ yard }: { yard: string }) {
  const [asked, setAsked] = useState(false)
  const closed = useQuery({
    ...ask(['yards', yard, 'closed'], '/api/yards/{id}/closed', { path: { id: yard } }),
    enabled: asked,
  })
  if (!asked) return <Press says={text.showClosed} onPress={() => setAsked(true)} data-show-closed />
  if (!closed.data) return <Waiting query={closed} />
  const { hives } = closed.data
  return (
    <section className={styles.yard} data-closed>
      {hives.length === 0 ? <p className="quiet">{text.noClosed}</p> : <h2>{text.closed(hives.length)}</h2>}
      <ul className={styles.closed}>
        {hives.map((h) => (
          <li key={h.id}>
            <Link to={`/colonies/${h.id}`}>{h.name}</Link>
            <span className="quiet">
              {text.closedOn(date(h.started_on), date(h.ended_on), h.end_reason ?? '')}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
