import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import { MiteGauge } from '../drawing/MiteGauge'
import { daysBetween, seams as fraction, useStart } from '../kit'
import { inWords } from '../hive/shape'
import { text } from './text'
import shared from './yards.module.css'
import styles from './YardTable.module.css'

/** A yard as a plain table: what was seen, and how long ago. */
export function YardTable({ stands }: { stands: readonly Schemas['ColonyRecord'][] }) {
  const { now } = useStart()
  const seen = (what: string | undefined, on: string | undefined) =>
    what === undefined || on === undefined ? (
      <td className="quiet">{text.notLooked}</td>
    ) : (
      <td>
        {what}
        <small>{text.ago(daysBetween(on, now))}</small>
      </td>
    )
  return (
    <div className={styles.scroll}>
      <table className={shared.table}>
        <thead>
          <tr>
            {text.head.map((h) => (
              <th key={h}>{h}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {stands.map(({ id, name, boxes, seen: s, count, need }) => (
            <tr key={id}>
              <td>
                <Link to={`/colonies/${id}`}>{name}</Link>
              </td>
              <td>{inWords(boxes)}</td>
              {seen(s.seams === undefined ? undefined : fraction(s.seams), s.seams_on)}
              {seen(text.brood[s.brood ?? ''], s.brood_on)}
              {seen(text.stores[s.stores ?? ''], s.stores_on)}
              {seen(s.supers === undefined ? undefined : String(s.supers), s.supers_on)}
              {seen(text.queen[s.queen ?? ''], s.queen_on)}
              <td>
                <MiteGauge standing={count} />
              </td>
              <td>{text.need[need]}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
