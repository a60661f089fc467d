import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { batchesQuery, clock, day, tenths, three, useSift, volume, Waiting } from '../../kit'
import { type Schemas } from '../../api/client'
import { Mark } from '../../drawing/Mark'
import shared from '../book.module.css'
import styles from './BatchList.module.css'
import { text } from '../text'

/** The saved batches, the newest first. */
export default function BatchList() {
  const list = useQuery(batchesQuery)
  const { shown, bar } = useSift('batches', list.data ?? [], {
    words: (b) => `${b.name} ${text.number(b.number)} ${text.methods[b.method]}`,
    keeps: {
      [text.allBatches]: undefined,
      [text.withRest]: (b) => b.state === 'made' && b.on_hand.left > 0 && !b.voided_at,
      [text.notMade]: (b) => b.state === 'planned' || b.state === 'bench',
      [text.mustGo]: (b) => b.on_hand.left > 0 && (b.on_hand.keeps === 'past' || b.on_hand.keeps === 'soon'),
      [text.void]: (b) => Boolean(b.voided_at),
    },
    sorts: {
      [text.newest]: undefined,
      [text.oldest]: (a, b) => a.made_on.localeCompare(b.made_on),
      [text.byName]: (a, b) => a.name.localeCompare(b.name),
      [text.mostLeft]: (a, b) => b.on_hand.left - a.on_hand.left,
    },
  })
  return (
    <main className={shared.page}>
      <h1>{text.title}</h1>
      <p>
        <Link to="/stock">{text.stock}</Link>
      </p>
      {!list.data && <Waiting query={list} />}
      {list.data?.length === 0 && <p>{text.none}</p>}
      {list.data && list.data.length > 0 && bar}
      <ul className={styles.list}>
        {shown.map((b) => {
          const made = b.pieces
            ? { value: String(b.pieces), unit: text.piecesOf[b.method] }
            : volume(b.volume_ml ?? 0)
          return (
            <li key={b.id} className={b.voided_at ? styles.void : undefined}>
              <Link to={`/batches/${b.id}`}>
                <Mark method={b.method} />
                <span className={styles.name}>
                  <span className={b.voided_at ? shared.struck : undefined}>{b.name}</span>
                  {b.voided_at && <span className={styles.tag}>{text.void}</span>}
                  <small>
                    {text.number(b.number)} · {day(b.made_on)} {clock(b.made_on)} · {text.methods[b.method]} ·{' '}
                    {b.state === 'made'
                      ? text.left(tenths(b.on_hand.left), text.units[b.on_hand.unit])
                      : text.states[b.state]}
                    {b.on_hand.to_reconcile && <b className={shared.harm}> · {text.reconcileShort}</b>}
                    {b.on_hand.keeps === 'past' && b.on_hand.left > 0 && (
                      <b className={shared.harm}> · {text.past}</b>
                    )}
                    {b.on_hand.keeps === 'soon' && b.on_hand.left > 0 && <b> · {text.soon}</b>}
                  </small>
                </span>
                <span className={styles.figure}>
                  {made.value} <small>{made.unit}</small>
                </span>
                <span className={styles.figure}>{b.strength && <Strength {...b.strength} />}</span>
              </Link>
            </li>
          )
        })}
      </ul>
    </main>
  )
}

function Strength({ value, unit }: Schemas['BatchStrength']) {
  return (
    <>
      {three(value)} <small>{text.strengths[unit]}</small>
    </>
  )
}
