import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import { MiteGauge } from '../drawing/MiteGauge'
import { daysBetween, seams as fraction, useSift, useStart } from '../kit'
import { inWords } from '../hive/shape'
import { text } from './text'
import shared from './yards.module.css'
import styles from './YardTable.module.css'

/** A yard as a plain table: what was seen, and how long ago. */
export function YardTable({ stands }: { stands: readonly Schemas['ColonyRecord'][] }) {
  const { now } = useStart()
  const { shown, bar } = useSift('hives', stands, {
    words: (s) => `${s.name} ${inWords(s.boxes)} ${s.notes ?? ''} ${text.queen[s.seen.queen ?? ''] ?? ''}`,
    keeps: {
      [text.allHives]: undefined,
      [text.overOnly]: (s) => s.need === 'treat',
      [text.unlooked]: (s) => s.seen.brood_on === undefined,
      [text.uncounted]: (s) => s.count === undefined,
      [text.treatedNow]: (s) => (s.in?.length ?? 0) > 0,
      [text.nucsOnly]: (s) => s.nuc === true,
    },
    sorts: {
      [text.asTheyStand]: undefined,
      [text.byName]: (a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }),
      [text.mostBees]: (a, b) => (b.seen.seams ?? -1) - (a.seen.seams ?? -1),
      [text.mostMites]: (a, b) => over(b) - over(a),
      [text.longestAgo]: (a, b) => (a.seen.seams_on ?? '').localeCompare(b.seen.seams_on ?? ''),
    },
  })
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
    <>
      {bar}
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
            {shown.map(({ id, name, boxes, seen: s, count, need }) => (
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
    </>
  )
}

/** How a count stands to its threshold; none comes last. */
const over = ({ count }: Schemas['ColonyRecord']) => (count ? count.rate : -1)
