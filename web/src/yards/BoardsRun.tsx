import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import type { Schemas } from '../api/client'
import {
  date,
  daysBetween,
  Faults,
  Field,
  onSent,
  plain,
  Press,
  queries,
  readOne,
  useKept,
  useStart,
  Waiting,
  yardQuery,
} from '../kit'
import { SignalBar } from '../outbox/SignalBar'
import { useCounting } from '../outbox/useCounting'
import { useKeptForYard } from '../outbox/useKeptForYard'
import { useQueue } from '../outbox/useOutbox'
import { BoardPhoto } from './BoardPhoto'
import styles from './BoardsRun.module.css'
import { Seen } from '../hive/Glimpse'
import { text } from './text'

type Stand = Schemas['ColonyRecord']

/** What is typed of one board. */
interface Typed {
  mites: string
  days: string
  squares: string
  counted: string
  /** Of a photo: the id that the count will have, and where mites were tapped. */
  id?: string | undefined
  marks?: Schemas['Mark'][] | undefined
}

const blank: Typed = { mites: '', days: '', squares: '', counted: '' }

/** The boards of a yard read in a row, one hive a screen, with signal or without. */
export default function BoardsRun() {
  const { id = '' } = useParams()
  const yard = useQuery(yardQuery(id))
  const ready = useKeptForYard([`/api/yards/${id}`])
  if (!yard.data) return <Waiting query={yard} />
  return <Run key={id} yard={yard.data} ready={ready} />
}

function Run({ yard, ready }: { yard: Schemas['YardWhole']; ready: boolean }) {
  const today = useStart().now.slice(0, 10)
  const [query] = useSearchParams()
  const asked = query.getAll('hive')
  const line = asked.length > 0 ? yard.stands.filter((s) => asked.includes(s.id)) : yard.stands
  const open = useKept<Record<string, Typed>>(`boards.${yard.id}`, () => ({}))
  const done = useKept<Record<string, string>>(`boards.done.${yard.id}.${today}`, () => ({}))
  const queue = useQueue()
  const counting = useCounting()
  const first = line.findIndex((s) => done.value[s.id] === undefined)
  const [at, setAt] = useState(first < 0 ? line.length : first)
  useEffect(
    () => () => {
      void queries.invalidateQueries({ queryKey: ['yards', yard.id] })
      void queries.invalidateQueries({ queryKey: ['check'] })
    },
    [yard.id],
  )
  const stand = line[at]
  const save = (count: Omit<Schemas['MiteCount'], 'id' | 'colony_id' | 'kind' | 'on'>) => {
    if (!stand) return
    const id = open.value[stand.id]?.id ?? crypto.randomUUID()
    void counting.write(
      { id, colony_id: stand.id, kind: 'board', on: today, ...count },
      `${yard.name} ${stand.name}`,
    )
    done.set({ ...done.value, [stand.id]: id })
    open.set(Object.fromEntries(Object.entries(open.value).filter(([c]) => c !== stand.id)))
    setAt(at + 1)
  }
  return (
    <main data-gloves className={styles.boards}>
      <div className="no-print">
        <SignalBar outbox={queue} ready={ready} />
        {stand && <Seen id={stand.id} board />}
        {stand ? (
          <OneBoard
            key={stand.id}
            stand={stand}
            place={text.position(at + 1, line.length)}
            done={done.value[stand.id] !== undefined}
            typed={open.value[stand.id] ?? { ...blank, days: daysIn(stand, today) }}
            onTyped={(typed) => open.set({ ...open.value, [stand.id]: typed })}
            onSave={save}
            onAgain={() => {
              const id = done.value[stand.id]
              if (id !== undefined && counting.takeBack(id))
                done.set(Object.fromEntries(Object.entries(done.value).filter(([c]) => c !== stand.id)))
            }}
            onNext={() => setAt(at + 1)}
          />
        ) : (
          <section className={styles.one} data-boards-done>
            <h1>{text.boardsDone}</h1>
            <p>
              <Link to="/check">{text.toCheck}</Link>
            </p>
          </section>
        )}
        <nav className={styles.line} aria-label={text.boardsTitle(yard.name)}>
          {line.map((s, i) => (
            <button
              key={s.id}
              type="button"
              aria-current={i === at}
              onClick={() => setAt(i)}
              data-hive={s.name}
            >
              {s.name}
              {done.value[s.id] !== undefined && ' ✓'}
            </button>
          ))}
        </nav>
        <p>
          <Press says={text.printBoards} onPress={() => print()} />
          <Link to={`/yards/${yard.id}/count`}>{text.typeColumn}</Link>
        </p>
      </div>
      <Paper yard={yard} line={line} today={today} />
    </main>
  )
}

/** For how many days a board has lain, as far as it is known. */
const daysIn = (s: Stand, today: string) =>
  s.board_on ? String(Math.max(1, daysBetween(s.board_on, today))) : ''

interface OneProps {
  stand: Stand
  place: string
  done: boolean
  typed: Typed
  onTyped: (typed: Typed) => void
  onSave: (count: {
    mites: number
    days: number
    share?: number
    note?: string
    marks?: Schemas['Mark'][]
  }) => void
  onAgain: () => void
  onNext: () => void
}

/** One board: how many mites, and for how many days it lay. */
function OneBoard({ stand, place, done, typed, onTyped, onSave, onAgain, onNext }: OneProps) {
  const [full, setFull] = useState(typed.squares !== '')
  const mites = readOne('mites', typed.mites)
  const days = readOne('days', typed.days)
  const squares = readOne('squares', typed.squares)
  const counted = readOne('counted', typed.counted)
  const set = (of: keyof Typed) => (value: string) => onTyped({ ...typed, [of]: value })
  const part = full && typed.squares !== '' && typed.counted !== ''
  const faults: Record<string, string> = {
    ...(typed.mites && mites.faults),
    ...(typed.days && days.faults),
    ...(full && typed.squares && squares.faults),
    ...(full && typed.counted && counted.faults),
    ...(typed.marks && typed.marks.length > (mites.figure ?? 0) && { mites: text.fewerThanMarks }),
    ...(part && (counted.figure ?? 0) > (squares.figure ?? 0) && { counted: text.tooManySquares }),
  }
  const share = part ? (counted.figure ?? 0) / (squares.figure ?? 1) : undefined
  const ready =
    mites.figure !== undefined &&
    (days.figure ?? 0) > 0 &&
    Object.keys(faults).length === 0 &&
    (!full || (share ?? 0) > 0)
  if (done)
    return (
      <section className={styles.one} data-board={stand.name} data-read>
        <header>
          <h1>{stand.name}</h1>
          <span>{place}</span>
        </header>
        <p>{text.boardRead}</p>
        <div className={styles.takes}>
          <Press big outlined says={text.boardAgain} onPress={onAgain} />
          <Press big main says={text.nextHive} onPress={onNext} />
        </div>
      </section>
    )
  return (
    <section className={styles.one} data-board={stand.name}>
      <header>
        <h1>{stand.name}</h1>
        <span>{place}</span>
      </header>
      <form
        onSubmit={onSent(() => {
          if (!ready) return
          onSave({
            mites: mites.figure ?? 0,
            days: days.figure ?? 0,
            ...(share !== undefined && { share, note: text.squaresNote(typed.counted, typed.squares) }),
            ...(typed.marks?.length && { marks: typed.marks }),
          })
        })}
      >
        <Faults value={faults}>
          <div className={styles.big}>
            <Field
              label={full ? text.mitesIn : text.mites}
              path="mites"
              value={typed.mites}
              onChange={set('mites')}
              focus
            />
          </div>
          {typed.id && (
            <BoardPhoto
              id={typed.id}
              marks={typed.marks ?? []}
              onMarks={(marks) => onTyped({ ...typed, marks, mites: String(marks.length) })}
              onClose={() => onTyped({ ...typed, id: undefined, marks: undefined })}
            />
          )}
          <p className="quiet">
            {stand.board_on ? text.boardSince(date(stand.board_on)) : text.boardUnknown}
          </p>
          <Field label={text.days} path="days" value={typed.days} onChange={set('days')} />
          {full ? (
            <div className={styles.squares}>
              <p className="quiet">{text.squaresHint}</p>
              <Field label={text.squaresAll} path="squares" value={typed.squares} onChange={set('squares')} />
              <Field
                label={text.squaresCounted}
                path="counted"
                value={typed.counted}
                onChange={set('counted')}
              />
              {share !== undefined && share > 0 && share <= 1 && mites.figure !== undefined && (
                <p data-scaled>{text.scaled(plain(Math.round(mites.figure / share)))}</p>
              )}
            </div>
          ) : (
            <Press says={text.fullBoard} onPress={() => setFull(true)} data-full-board />
          )}
          {!typed.id && (
            <Press
              says={text.onAPhoto}
              onPress={() => onTyped({ ...typed, id: crypto.randomUUID() })}
              data-on-photo
            />
          )}
        </Faults>
        <div className={styles.takes}>
          <Press big outlined says={text.skipHive} onPress={onNext} />
          <Press submit big main says={text.saveBoard} off={!ready} data-save-board />
        </div>
      </form>
    </section>
  )
}

/** The same for a clipboard. */
function Paper({ yard, line, today }: { yard: Schemas['YardWhole']; line: Stand[]; today: string }) {
  return (
    <table className={styles.paper}>
      <caption>
        {text.boardsTitle(yard.name)}, {date(today)}
      </caption>
      <thead>
        <tr>
          {text.boardColumns.map((c) => (
            <th key={c}>{c}</th>
          ))}
        </tr>
      </thead>
      <tbody>
        {line.map((s) => (
          <tr key={s.id}>
            <td>{s.name}</td>
            <td>{s.board_on ? date(s.board_on) : ''}</td>
            <td />
            <td />
          </tr>
        ))}
      </tbody>
    </table>
  )
}
