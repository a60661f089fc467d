import Button from '@mui/material/Button'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { produce } from 'immer'
import { useEffect, useRef, useState } from 'react'
import { Link, useParams } from 'react-router'
import { Waiting } from '../kit/Waiting'
import { client, type Schemas } from '../api/client'
import { Board, type Slot } from '../drawing/Board'
import { besideComb } from '../drawing/gaps'
import { Choice } from '../kit/Choice'
import { Field } from '../kit/Field'
import { Said } from '../kit/Said'
import { useSaving } from '../kit/useSaving'
import { useKept } from '../kit/useKept'
import { seams as fraction } from '../kit/format'
import { text } from './text'
import { yardQuery } from '../kit/queries'
import page from '../kit/page.module.css'
import { Press } from '../kit/Press'
import shared from './yards.module.css'
import styles from './InspectionRun.module.css'

type Inspection = Schemas['Inspection']
type Stand = Schemas['ColonyRecord']

/** Looks that were not sent yet, by colony. */
type Open = Record<string, Inspection>

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

/** Seen, or looked for and not seen: it settles how long an inspection for brood counts. */
const OPEN = { larvae: { key: 'l', title: text.larvaeAsk }, eggs: { key: 'e', title: text.eggsAsk } } as const

type OpenAsk = keyof typeof OPEN

/** Several colonies looked into in a row, by tap or by keyboard. */
export default function InspectionRun() {
  const { id = '' } = useParams()
  const yard = useQuery(yardQuery(id))
  if (!yard.data) return <Waiting query={yard} />
  return <Run key={id} yard={yard.data} />
}

function Run({ yard }: { yard: Schemas['YardWhole'] }) {
  const queries = useQueryClient()
  const open = useKept<Open>(`inspections.${yard.id}`, () => ({}))
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
      void queries.invalidateQueries({ queryKey: ['colonies'] })
      void queries.invalidateQueries({ queryKey: ['decide'] })
    },
  )
  useEffect(() => () => void queries.invalidateQueries({ queryKey: ['yards', yard.id] }), [queries, yard.id])
  if (!stand) return null
  const inspection = open.value[stand.id] ?? begin(stand)
  const change = (recipe: (l: Inspection) => void) =>
    open.set({ ...open.value, [stand.id]: produce(inspection, recipe) })
  const keep = () => {
    if (touched(inspection)) sending.save([inspection])
    if (at + 1 < yard.stands.length) setAt(at + 1)
  }
  const unsent = Object.values(open.value).filter((l) => l.colony_id !== stand.id)
  return (
    <main className={page.page}>
      <div className={page.head}>
        <h1>{text.inspectTitle(yard.name)}</h1>
        <Link to={`/yards/${yard.id}`}>{text.toYard(yard.name)}</Link>
      </div>
      <Said message={sending.message} />
      {unsent.length > 0 && sending.message && (
        <div className={page.bar}>
          <span>{text.notSent(unsent.length)}</span>
          <Press kind="outlined" says={text.sendAll} onPress={() => sending.save(unsent)} />
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

/** Nothing was looked at yet. */
const begin = (stand: Stand): Inspection => ({ id: crypto.randomUUID(), colony_id: stand.id })

/** Something was looked at: of a hive that nobody touched nothing is written. */
const touched = (inspection: Inspection) =>
  Object.entries(inspection).some(
    ([key, seen]: [string, unknown]) =>
      key !== 'id' && key !== 'colony_id' && seen !== undefined && seen !== '',
  )

/** The bees as they were last seen, to begin from. */
const lastSeen = (stand: Stand) =>
  stand.boxes.map((b, i) =>
    Array.from({ length: b.slots.length + 1 }, (_, g) => stand.seen.board?.[i]?.[g] ?? 0),
  )

interface SheetProps {
  stand: Stand
  inspection: Inspection
  change: (recipe: (l: Inspection) => void) => void
  keep: () => void
  skip: () => void
  last: boolean
}

function Sheet({ stand, inspection, change, keep, skip, last }: SheetProps) {
  const sheet = useRef<HTMLElement>(null)
  const shown = inspection.board ?? lastSeen(stand)
  useEffect(() => sheet.current?.querySelector<SVGElement>('[data-gap][tabindex="0"]')?.focus(), [])
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.target instanceof HTMLTextAreaElement || e.ctrlKey || e.metaKey || e.altKey) return
      const ask = (Object.keys(ASKS) as Ask[]).find((a) => ASKS[a].key === e.key)
      if (ask) {
        const words: readonly string[] = ASKS[ask].words
        change((l) => void (l[ask] = words[(words.indexOf(l[ask] ?? '') + 1) % (words.length + 1)]))
      } else if (e.key === OPEN.eggs.key || e.key === OPEN.larvae.key) {
        const open = e.key === OPEN.eggs.key ? 'eggs' : 'larvae'
        change((l) => void (l[open] = l[open] === undefined ? false : l[open] ? undefined : true))
      } else if (e.key === 'a') change((l) => void (l.board = shown))
      else if (e.key === 'u') change((l) => void (l.supers = ((l.supers ?? -1) + 1) % 5))
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
        {stand.name} <span>{text.seams(total)}</span>{' '}
        {inspection.board === undefined && <small className="quiet">{text.asLast}</small>}
      </h2>
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
              touch={{
                sets: 'seam',
                on: (gap, seam) =>
                  change((l) => {
                    l.board = shown.map((box, k) => box.map((s, g) => (k === i && g === gap ? seam : s)))
                  }),
              }}
            />
          ))
          .reverse()}
      </div>
      {inspection.board === undefined && (
        <p>
          <Button variant="outlined" onClick={() => change((l) => void (l.board = shown))} data-as-shown>
            {total > 0 ? text.asShown : text.noBees} <kbd>a</kbd>
          </Button>
        </p>
      )}
      <div className={shared.asks}>
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
                value={inspection[ask] ?? ''}
                options={words.map((w) => [w, names[w] ?? w] as const)}
                onChange={(w) => change((l) => void (l[ask] = w))}
              />
            </div>
          )
        })}
        {(Object.keys(OPEN) as OpenAsk[]).map((ask) => (
          <div key={ask} data-ask={ask}>
            <h3>
              {OPEN[ask].title}
              <kbd>{OPEN[ask].key}</kbd>
            </h3>
            <Choice<string>
              label={OPEN[ask].title}
              columns={2}
              value={inspection[ask] === undefined ? '' : String(inspection[ask])}
              options={text.openBrood}
              onChange={(w) => change((l) => void (l[ask] = w === 'true'))}
            />
          </div>
        ))}
        <div data-ask="supers">
          <h3>
            {text.supersAsk}
            <kbd>u</kbd>
          </h3>
          <Choice<string>
            label={text.supersAsk}
            columns={5}
            value={inspection.supers === undefined ? '' : String(inspection.supers)}
            options={['0', '1', '2', '3', '4'].map((n) => [n, n] as const)}
            onChange={(n) => change((l) => void (l.supers = Number(n)))}
          />
        </div>
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
          size="large"
          kind="main"
          says={touched(inspection) ? (last ? text.last : text.next) : text.nothing}
          onPress={keep}
          data-keep-inspection
        />
        {!last && touched(inspection) && <Press size="large" says={text.skip} onPress={skip} />}
        <span className={`quiet ${shared.keys ?? ''}`}>{text.inspectKeys}</span>
      </div>
    </article>
  )
}
