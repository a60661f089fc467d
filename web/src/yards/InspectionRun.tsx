import Button from '@mui/material/Button'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { produce } from 'immer'
import { useEffect, useRef, useState } from 'react'
import { Link, useParams } from 'react-router'
import {
  Choice,
  Faults,
  Field,
  type Options,
  PickDay,
  Press,
  queries,
  Said,
  seams as fraction,
  stale,
  useKept,
  useSaving,
  useStart,
  Waiting,
  yardQuery,
} from '../kit'
import { client, data, Problem, type Schemas } from '../api/client'
import { Board, type Slot } from '../drawing/Board'
import { besideComb } from '../drawing/gaps'
import { text } from './text'
import page from '../kit/page.module.css'
import shared from './yards.module.css'
import styles from './InspectionRun.module.css'

type Inspection = Schemas['Inspection']
type Stand = Schemas['ColonyRecord']

/** Looks that were not sent yet, by colony. */
type Open = Record<string, Inspection>

/** What is asked of a hive besides its seams, by tap or by key. */
interface Ask {
  key: string
  title: string
  options: Options
  of: (l: Inspection) => string
  set: (l: Inspection, chosen: string) => void
}

const word = (key: string, of: 'brood' | 'stores' | 'queen' | 'temper', title: string): Ask => ({
  key,
  title,
  options: text[of],
  of: (l) => l[of] ?? '',
  set: (l, chosen) => void (l[of] = chosen || undefined),
})

/** Seen, or looked for and not seen: it settles how long an inspection for brood counts. */
const open = (key: string, of: 'larvae' | 'eggs', title: string): Ask => ({
  key,
  title,
  options: text.openBrood,
  of: (l) => String(l[of] ?? ''),
  set: (l, chosen) => void (l[of] = chosen === '' ? undefined : chosen === 'true'),
})

const ASKS: Record<string, Ask> = {
  brood: word('b', 'brood', text.broodAsk),
  stores: word('s', 'stores', text.storesAsk),
  queen: word('q', 'queen', text.queenAsk),
  temper: word('t', 'temper', text.temperAsk),
  larvae: open('l', 'larvae', text.larvaeAsk),
  eggs: open('e', 'eggs', text.eggsAsk),
  supers: {
    key: 'u',
    title: text.supersAsk,
    options: { 0: '0', 1: '1', 2: '2', 3: '3', 4: '4' },
    of: (l) => String(l.supers ?? ''),
    set: (l, chosen) => void (l.supers = chosen === '' ? undefined : Number(chosen)),
  },
}

/** The next of the options; after the last of them none. */
function next({ options, of, set }: Ask, l: Inspection) {
  const all = Object.keys(options)
  set(l, all[all.indexOf(of(l)) + 1] ?? '')
}

/** Several colonies looked into in a row, by tap or by keyboard. */
export default function InspectionRun() {
  const { id = '' } = useParams()
  const yard = useQuery(yardQuery(id))
  if (!yard.data) return <Waiting query={yard} />
  return <Run key={id} yard={yard.data} />
}

function Run({ yard }: { yard: Schemas['YardWhole'] }) {
  const open = useKept<Open>(`inspections.${yard.id}`, () => ({}))
  const today = useStart().now.slice(0, 10)
  const [on, setOn] = useState(today)
  const [at, setAt] = useState(0)
  const [sent, setSent] = useState<string[]>([])
  const stand = yard.stands[at]
  const sending = useSaving(
    async (inspections: Inspection[]) => {
      await client.POST('/api/inspections', { body: { inspections } })
      return inspections
    },
    (inspections) => {
      const gone = inspections.map((l) => l.colony_id)
      open.set(Object.fromEntries(Object.entries(open.value).filter(([c]) => !gone.includes(c))))
      setSent((s) => [...s, ...gone])
      stale('colonies', 'decide')
    },
  )
  useEffect(() => () => void queries.invalidateQueries({ queryKey: ['yards', yard.id] }), [yard.id])
  if (!stand) return null
  const inspection = open.value[stand.id] ?? begin(stand)
  const change = (recipe: (l: Inspection) => void) =>
    open.set({ ...open.value, [stand.id]: { ...produce(inspection, recipe), on } })
  const keep = () => {
    // What waits to be sent keeps the day on which it was seen.
    if (touched(inspection)) sending.save([{ ...inspection, on }])
    if (at + 1 < yard.stands.length) setAt(at + 1)
  }
  const unsent = Object.values(open.value).filter((l) => l.colony_id !== stand.id)
  return (
    <main className={page.page}>
      <div className={page.head}>
        <h1>{text.inspectTitle(yard.name)}</h1>
        <Link to={`/yards/${yard.id}`}>{text.toYard(yard.name)}</Link>
        <Faults value={beneathFirst(sending.faults)}>
          <div className={styles.on}>
            <PickDay label={text.lookedOn} path="on" value={on} max={today} onChange={setOn} />
          </div>
        </Faults>
      </div>
      <Said message={sending.message} />
      {unsent.length > 0 && sending.message && (
        <div className={page.bar}>
          <span>{text.notSent(unsent.length)}</span>
          <Press outlined says={text.sendAll} onPress={() => sending.save(unsent)} />
        </div>
      )}
      <div className={shared.run}>
        <ul className={styles.list} data-look-list>
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
          inspection={inspection}
          faults={beneathFirst(sending.faults)}
          change={change}
          keep={keep}
          skip={() => setAt(Math.min(at + 1, yard.stands.length - 1))}
          last={at + 1 === yard.stands.length}
        />
      </div>
      {sent.length >= yard.stands.length && <p>{text.inspectDone}</p>}
    </main>
  )
}

/** What is wrong with the one that is sent, by its own fields. */
const beneathFirst = (faults: Record<string, string>) =>
  Object.fromEntries(
    Object.entries(faults).map(([path, fault]) => [path.replace('inspections[0].', ''), fault]),
  )

/** Nothing was looked at yet. */
const begin = (stand: Stand): Inspection => ({ id: crypto.randomUUID(), colony_id: stand.id })

/** Something was looked at: of a hive that nobody touched nothing is written. */
const touched = (inspection: Inspection) =>
  Object.entries(inspection).some(
    ([key, seen]: [string, unknown]) =>
      !['id', 'colony_id', 'on'].includes(key) && seen !== undefined && seen !== '',
  )

/** The bees as they were last seen, to begin from. */
const lastSeen = (stand: Stand) =>
  stand.boxes.map((b, i) =>
    Array.from({ length: b.slots.length + 1 }, (_, g) => stand.seen.board?.[i]?.[g] ?? 0),
  )

/** Bees as they are drawn go before a count of them. */
const seen = (board: number[][]) => (l: Inspection) => {
  l.board = board
  l.typed = undefined
}

interface SheetProps {
  stand: Stand
  inspection: Inspection
  faults: Record<string, string>
  change: (recipe: (l: Inspection) => void) => void
  keep: () => void
  skip: () => void
  last: boolean
}

function Sheet({ stand, inspection, faults, change, keep, skip, last }: SheetProps) {
  const sheet = useRef<HTMLElement>(null)
  const typed = inspection.typed ?? ''
  const { boxes } = stand
  const drawn = useQuery({
    queryKey: ['drawn', typed, boxes],
    queryFn: ({ signal }) => data(client.POST('/api/hive/drawn', { body: { typed, boxes }, signal })),
    enabled: typed.trim() !== '',
    placeholderData: keepPreviousData,
  })
  const unread = typed && drawn.error instanceof Problem ? drawn.error.faults : {}
  const shown = inspection.board ?? (typed ? drawn.data?.board : undefined) ?? lastSeen(stand)
  // Until it is drawn as it was typed, no other figure stands beside it.
  const drawing = typed !== '' && (!drawn.data || drawn.isPlaceholderData)
  // At a desk seams are typed; a phone's keys would hide the board.
  useEffect(
    () =>
      sheet.current
        ?.querySelector<HTMLElement>(
          matchMedia('(pointer: coarse)').matches ? '[data-gap][tabindex="0"]' : '[data-path="typed"] input',
        )
        ?.focus(),
    [],
  )
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const elsewhere =
        e.target instanceof Element && e.target.closest('textarea, [data-day-field], [role=dialog]')
      if (elsewhere || e.ctrlKey || e.metaKey || e.altKey) return
      const ask = Object.values(ASKS).find((a) => a.key === e.key)
      if (ask) change((l) => next(ask, l))
      else if (e.key === 'a' && !typed) change(seen(shown))
      else if (e.key === 'Enter') keep()
      else return
      e.preventDefault()
    }
    // Before the board, for which Enter is a tap.
    addEventListener('keydown', onKey, true)
    return () => removeEventListener('keydown', onKey, true)
  })
  const total = shown.flat().reduce((a, b) => a + b, 0)
  return (
    <article className={styles.sheet} ref={sheet} data-inspection-sheet={stand.name}>
      <h2>
        {stand.name} <span>{drawing ? '' : text.seams(total)}</span>{' '}
        {inspection.board === undefined && !typed && <small className="quiet">{text.asLast}</small>}
      </h2>
      <div className={styles.typed}>
        <Faults value={{ ...faults, ...unread }}>
          <Field
            text
            label={text.typedSeams}
            path="typed"
            value={typed}
            placeholder={boxes.length > 1 ? text.typedBoxes : text.typedOne}
            onChange={(v) => {
              const count = v.replace(/\p{L}/gu, '') // letters are keys here
              if (count === typed) return
              change((l) => {
                l.typed = count || undefined
                l.board = undefined
              })
            }}
          />
        </Faults>
      </div>
      <p className={`quiet ${shared.keys ?? ''}`}>{text.inspectHint}</p>
      <div className={styles.boards}>
        {stand.boxes
          .map((b, i) => (
            <Board
              key={i}
              name={stand.boxes.length > 1 ? `${stand.name}, ${i + 1}` : stand.name}
              depth={b.kind}
              slots={b.slots as Slot[]}
              gaps={(shown[i] ?? []).map((seam, g) => ({
                open: besideComb(b.slots as Slot[], g),
                seam,
                figure: seam > 0 ? fraction(seam) : '·',
              }))}
              touch={
                drawing
                  ? undefined
                  : {
                      sets: 'seam',
                      on: (gap, seam) =>
                        change(
                          seen(shown.map((box, k) => box.map((s, g) => (k === i && g === gap ? seam : s)))),
                        ),
                    }
              }
            />
          ))
          .reverse()}
      </div>
      {inspection.board === undefined && !typed && (
        <p>
          <Button variant="outlined" onClick={() => change(seen(shown))} data-as-shown>
            {total > 0 ? text.asShown : text.noBees} <kbd>a</kbd>
          </Button>
        </p>
      )}
      <div className={shared.asks}>
        {Object.entries(ASKS).map(([name, { key, title, options, of, set }]) => (
          <div key={name} data-ask={name}>
            <h3>
              {title}
              <kbd>{key}</kbd>
            </h3>
            <Choice<string>
              label={title}
              columns={Object.keys(options).length}
              value={of(inspection)}
              options={options}
              onChange={(chosen) => change((l) => set(l, chosen))}
            />
            {name === 'supers' && stand.honey_held && <p data-honey-held>{stand.honey_held.words}</p>}
          </div>
        ))}
        <Field
          text
          lines
          label={text.note}
          value={inspection.note ?? ''}
          onChange={(v) => change((l) => void (l.note = v))}
        />
      </div>
      <div className={`${page.bar} ${page.sticky}`}>
        <Press
          big
          main
          says={touched(inspection) ? (last ? text.last : text.next) : text.nothing}
          onPress={keep}
          data-keep-inspection
        />
        {!last && touched(inspection) && <Press big says={text.skip} onPress={skip} />}
        <span className={`quiet ${shared.keys ?? ''}`}>{text.inspectKeys}</span>
      </div>
    </article>
  )
}
