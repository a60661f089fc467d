import Button from '@mui/material/Button'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useEffect, useRef } from 'react'
import { Choice, Faults, Field, type Options, Press, seams as fraction, Term } from '../kit'
import { client, data, Problem, type Schemas } from '../api/client'
import { Board, type Slot } from '../drawing/Board'
import { besideComb } from '../drawing/gaps'
import { text } from './text'
import page from '../kit/page.module.css'
import shared from './yards.module.css'
import styles from './InspectionRun.module.css'

type Inspection = Schemas['Inspection']
type Stand = Schemas['ColonyRecord']

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

/** Something was looked at: of a hive that nobody touched nothing is written. */
export const touched = (inspection: Inspection) =>
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

interface Props {
  stand: Stand
  inspection: Inspection
  faults: Record<string, string>
  change: (recipe: (l: Inspection) => void) => void
  keep: () => void
  skip: () => void
  last: boolean
}

/** One hive looked into: its seams by board or typed, and what else was seen. */
export function InspectionSheet({ stand, inspection, faults, change, keep, skip, last }: Props) {
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
  useEffect(() => {
    if (!matchMedia('(pointer: coarse)').matches)
      sheet.current?.querySelector<HTMLElement>('[data-path="typed"] input')?.focus()
  }, [])
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
      <Term of="seam" />
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
