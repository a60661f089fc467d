import FormHelperText from '@mui/material/FormHelperText'
import IconButton from '@mui/material/IconButton'
import InputBase from '@mui/material/InputBase'
import { lazy, Suspense, useContext, useState, type ReactNode } from 'react'
import { Board, type BoardProps } from '../drawing/Board'
import { Faults, seams as fraction } from '../kit'
import styles from './HiveCard.module.css'
import { text } from './text'
import type { Change, DraftBox, DraftColony } from './hive'

const ColonyMenu = lazy(() => import('./ColonyMenu'))
const SlotsDialog = lazy(() => import('./SlotsDialog'))

/** A colony among those of the draft. */
export interface CardProps {
  colony: DraftColony
  at: number
  change: Change
  /** What can harm here. */
  heed: string
}

interface Props extends CardProps {
  /** What it gets, large. */
  figure: ReactNode
  /** What a box of several gets. */
  boxFigure?: (box: number) => string
  /** What is drawn in a box. */
  board: (box: DraftBox, i: number) => Omit<BoardProps, 'name' | 'depth' | 'slots'>
  /** A word at the foot, beside the seams. */
  foot?: ReactNode
  /** Seams do not matter here, and are not asked for. */
  seamless?: boolean
}

/** One colony: its boxes from above, the top box drawn uppermost, and what it gets. */
export function HiveCard({ colony, at, change, figure, boxFigure, board, foot, heed, seamless }: Props) {
  const faults = Object.entries(useContext(Faults)).filter(([field]) => field.startsWith(`colonies[${at}].`))
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const [slotsOpen, setSlotsOpen] = useState(false)
  const edit = (recipe: (c: DraftColony) => void) => change((d) => recipe(d.colonies[at]!))
  const several = colony.boxes.length > 1

  return (
    <article className={styles.colony} data-colony={colony.name}>
      <header className={styles.colonyHead}>
        <InputBase
          className={styles.colonyName}
          value={colony.name}
          inputProps={{ 'aria-label': text.colonyName(colony.name), maxLength: 40 }}
          onChange={(e) => edit((c) => void (c.name = e.target.value))}
        />
        {colony.nuc && <span className="quiet">{text.nuc}</span>}
        <span className={styles.colonyDose}>{figure}</span>
        <IconButton
          size="small"
          aria-label={text.menu(colony.name)}
          aria-haspopup="menu"
          onClick={(e) => setAnchor(e.currentTarget)}
        >
          ⋯
        </IconButton>
      </header>
      {colony.boxes
        .map((box, i) => (
          <div key={i} data-box={i}>
            {several && (
              <div className={styles.boxHead}>
                <span>{boxName(i)}</span>
                <b>{boxFigure?.(i)}</b>
              </div>
            )}
            <Board
              name={several ? `${colony.name}, ${boxName(i)}` : colony.name}
              depth={box.depth}
              slots={box.slots}
              {...board(box, i)}
            />
          </div>
        ))
        .reverse()}
      <footer className={styles.colonyFoot}>
        {!seamless &&
          colony.boxes.map((box, i) => (
            <label key={i}>
              {several ? `${i + 1}: ` : ''}
              {text.counted}{' '}
              <InputBase
                className={styles.counted}
                value={box.seams === null ? box.counted : fraction(sum(box.seams))}
                inputProps={{ inputMode: 'decimal' }}
                onFocus={(e) => (e.target as HTMLInputElement).select()}
                onChange={(e) =>
                  edit((c) => {
                    c.boxes[i]!.seams = null
                    c.boxes[i]!.counted = e.target.value
                  })
                }
              />
            </label>
          ))}
        {foot && <span className={styles.draw}>{foot}</span>}
      </footer>
      {heed && <p className={styles.colonyHeed}>{heed}</p>}
      {[...new Set(faults.map(([, fault]) => fault))].map((fault) => (
        <FormHelperText key={fault} error>
          {fault}
        </FormHelperText>
      ))}
      <Suspense>
        {anchor && (
          <ColonyMenu
            colony={colony}
            at={at}
            anchor={anchor}
            change={change}
            onSlots={() => setSlotsOpen(true)}
            onClose={() => setAnchor(null)}
          />
        )}
        {slotsOpen && <SlotsDialog colony={colony} edit={edit} onClose={() => setSlotsOpen(false)} />}
      </Suspense>
    </article>
  )
}

const sum = (seams: readonly number[]) => seams.reduce((a, b) => a + b, 0)

const boxName = (i: number) =>
  i === 0 ? text.boxNames.first : i === 1 ? text.boxNames.second : text.boxNames.next(i + 1)
