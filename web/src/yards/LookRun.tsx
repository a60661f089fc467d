import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { produce } from 'immer'
import { useEffect, useRef, useState } from 'react'
import { Link, useParams } from 'react-router'
import { client, type Schemas } from '../api/client'
import { Board, type Slot } from '../drawing/Board'
import { besideComb } from '../drawing/gaps'
import { Choice } from '../parts/Choice'
import { Said } from '../parts/Said'
import { useSaving } from '../parts/useSaving'
import { useKept } from '../shell/useKept'
import { seams as fraction } from '../units/format'
import { text } from './text'
import { yardQuery } from './useYard'
import styles from './yards.module.css'

type Look = Schemas['Look']
type Stand = Schemas['ColonyRecord']

/** Looks that were not sent yet, by colony. */
type Open = Record<string, Look>

const ASKS = {
  brood: { key: 'b', words: ['none', 'little', 'much'], title: text.broodAsk, names: text.brood },
  stores: { key: 's', words: ['light', 'enough', 'heavy'], title: text.storesAsk, names: text.stores },
  queen: {
    key: 'q',
    words: ['laying', 'young', 'queenless', 'unseen'],
    title: text.queenAsk,
    names: text.queen,
  },
  temper: { key: 't', words: ['calm', 'nervous', 'fierce'], title: text.temperAsk, names: text.temper },
} as const

type Ask = keyof typeof ASKS

/** Several colonies looked into in a row, by tap or by keyboard. */
export default function LookRun() {
  const { id = '' } = useParams()
  const yard = useQuery(yardQuery(id))
  if (!yard.data) return null
  return <Run key={id} yard={yard.data} />
}

function Run({ yard }: { yard: Schemas['YardWhole'] }) {
  const queries = useQueryClient()
  const open = useKept<Open>(`looks.${yard.id}`, () => ({}))
  const [at, setAt] = useState(0)
  const [sent, setSent] = useState<string[]>([])
  const stand = yard.stands[at]
  const sending = useSaving(
    async (looks: Look[]) => {
      await client.POST('/api/inspections', { body: { looks } })
      return looks
    },
    (looks) => {
      const gone = looks.map((l) => l.colony_id)
      open.set(Object.fromEntries(Object.entries(open.value).filter(([c]) => !gone.includes(c))))
      setSent((s) => [...s, ...gone])
      void queries.invalidateQueries({ queryKey: ['colonies'] })
      void queries.invalidateQueries({ queryKey: ['decide'] })
    },
  )
  useEffect(() => () => void queries.invalidateQueries({ queryKey: ['yards', yard.id] }), [queries, yard.id])
  if (!stand) return null
  const look = open.value[stand.id] ?? begin(stand)
  const change = (recipe: (l: Look) => void) => open.set({ ...open.value, [stand.id]: produce(look, recipe) })
  const keep = () => {
    sending.save([look])
    if (at + 1 < yard.stands.length) setAt(at + 1)
  }
  const unsent = Object.values(open.value).filter((l) => l.colony_id !== stand.id)
  return (
    <main className={styles.page}>
      <div className={styles.head}>
        <h1>{text.lookTitle(yard.name)}</h1>
        <Link to={`/yards/${yard.id}`}>{text.toYard(yard.name)}</Link>
      </div>
      <Said message={sending.message} />
      {unsent.length > 0 && sending.message && (
        <div className={styles.bar}>
          <span>{text.notSent(unsent.length)}</span>
          <Button variant="outlined" onClick={() => sending.save(unsent)}>
            {text.sendAll}
          </Button>
        </div>
      )}
      <div className={styles.run}>
        <ul className={styles.list}>
          {yard.stands.map((s, i) => (
            <li key={s.id}>
              <button type="button" aria-current={i === at} onClick={() => setAt(i)}>
                {s.name}
                <small className="quiet">{sent.includes(s.id) ? text.looked : ''}</small>
              </button>
            </li>
          ))}
        </ul>
        <Sheet
          key={stand.id}
          stand={stand}
          look={look}
          change={change}
          keep={keep}
          skip={() => setAt(Math.min(at + 1, yard.stands.length - 1))}
          last={at + 1 === yard.stands.length}
        />
      </div>
      {sent.length >= yard.stands.length && <p>{text.lookDone}</p>}
    </main>
  )
}

/** A look begins with the bees as they were last seen; all else was not looked at yet. */
const begin = (stand: Stand): Look => ({
  id: crypto.randomUUID(),
  colony_id: stand.id,
  board: stand.boxes.map((b, i) =>
    Array.from({ length: b.slots.length + 1 }, (_, g) => stand.seen.board?.[i]?.[g] ?? 0),
  ),
})

interface SheetProps {
  stand: Stand
  look: Look
  change: (recipe: (l: Look) => void) => void
  keep: () => void
  skip: () => void
  last: boolean
}

function Sheet({ stand, look, change, keep, skip, last }: SheetProps) {
  const sheet = useRef<HTMLElement>(null)
  useEffect(() => sheet.current?.querySelector<SVGElement>('[data-gap][tabindex="0"]')?.focus(), [])
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.target instanceof HTMLTextAreaElement || e.ctrlKey || e.metaKey || e.altKey) return
      const ask = (Object.keys(ASKS) as Ask[]).find((a) => ASKS[a].key === e.key)
      if (ask) {
        const words: readonly string[] = ASKS[ask].words
        change((l) => void (l[ask] = words[(words.indexOf(l[ask] ?? '') + 1) % (words.length + 1)]))
      } else if (e.key === 'u') change((l) => void (l.supers = ((l.supers ?? -1) + 1) % 5))
      else if (e.key === 'Enter') keep()
      else return
      e.preventDefault()
    }
    // Before the board, for which Enter is a tap.
    addEventListener('keydown', onKey, true)
    return () => removeEventListener('keydown', onKey, true)
  })
  const total = (look.board ?? []).flat().reduce((a, b) => a + b, 0)
  return (
    <article className={styles.sheet} ref={sheet} data-look-sheet={stand.name}>
      <h2>
        {stand.name} <span>{text.seams(total)}</span>
      </h2>
      <p className={`quiet ${styles.keys ?? ''}`}>{text.lookHint}</p>
      <div className={styles.boards}>
        {stand.boxes
          .map((b, i) => (
            <Board
              key={i}
              name={stand.boxes.length > 1 ? `${stand.name}, ${i + 1}` : stand.name}
              depth={b.kind}
              slots={b.slots as Slot[]}
              gaps={(look.board?.[i] ?? []).map((seam, g) => ({
                open: besideComb(b.slots as Slot[], g),
                seam,
                figure: seam > 0 ? fraction(seam) : '·',
              }))}
              touch={{ sets: 'seam', on: (gap, seam) => change((l) => void (l.board![i]![gap] = seam)) }}
            />
          ))
          .reverse()}
      </div>
      <div className={styles.asks}>
        {(Object.keys(ASKS) as Ask[]).map((ask) => {
          const { key, words, title, names } = ASKS[ask]
          return (
            <div key={ask} data-ask={ask}>
              <h3>
                {title}
                <kbd>{key}</kbd>
              </h3>
              <Choice<string>
                label={title}
                columns={words.length}
                value={look[ask] ?? ''}
                options={words.map((w) => [w, names[w] ?? w] as const)}
                onChange={(w) => change((l) => void (l[ask] = w))}
              />
            </div>
          )
        })}
        <div data-ask="supers">
          <h3>
            {text.supersAsk}
            <kbd>u</kbd>
          </h3>
          <Choice<string>
            label={text.supersAsk}
            columns={5}
            value={look.supers === undefined ? '' : String(look.supers)}
            options={['0', '1', '2', '3', '4'].map((n) => [n, n] as const)}
            onChange={(n) => change((l) => void (l.supers = Number(n)))}
          />
        </div>
        <TextField
          label={text.note}
          multiline
          value={look.note ?? ''}
          onChange={(e) => change((l) => void (l.note = e.target.value))}
        />
      </div>
      <div className={`${styles.bar} ${styles.sticky}`}>
        <Button size="large" variant="contained" onClick={keep} data-keep-look>
          {last ? text.last : text.next}
        </Button>
        {!last && (
          <Button size="large" onClick={skip}>
            {text.skip}
          </Button>
        )}
        <span className={`quiet ${styles.keys ?? ''}`}>{text.lookKeys}</span>
      </div>
    </article>
  )
}
