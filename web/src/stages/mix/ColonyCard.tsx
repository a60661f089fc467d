import FormHelperText from '@mui/material/FormHelperText'
import IconButton from '@mui/material/IconButton'
import InputBase from '@mui/material/InputBase'
import { lazy, memo, Suspense, useContext, useState } from 'react'
import type { Schemas } from '../../api/client'
import { Board, type BoardGap } from '../../drawing/Board'
import { besideComb } from '../../drawing/gaps'
import { Faults } from '../../parts/faults'
import { plain, seams as fraction } from '../../units/format'
import { drawing } from './Colonies'
import { text as docket } from './docketText'
import type { Draft, DraftBox, DraftColony } from './draft'
import styles from './mix.module.css'
import { text } from './text'
import type { Change } from './useDraft'

const ColonyMenu = lazy(() => import('./ColonyMenu'))
const SlotsDialog = lazy(() => import('./SlotsDialog'))

interface Props {
  colony: DraftColony
  at: number
  path: string
  dose: Schemas['ColonyDose'] | undefined
  device: Draft['applicator']['device']
  change: Change
}

/** One colony: its boxes from above, the top box drawn uppermost, and what it gets. */
export const ColonyCard = memo(function ColonyCard({ colony, at, path, dose, device, change }: Props) {
  const faults = Object.entries(useContext(Faults)).filter(([field]) => field.startsWith(path + '.'))
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const [slotsOpen, setSlotsOpen] = useState(false)
  const edit = (recipe: (c: DraftColony) => void) => change((d) => recipe(d.colonies[at]!))
  const boxes = colony.boxes.map((b, i) => ({ box: b, i, gaps: gapsOf(b, dose?.boxes[i]) }))

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
        <span className={styles.colonyDose}>
          {dose && (
            <>
              <b data-dose>{plain(dose.ml)}</b> mL · {text.seamsOf(fraction(dose.seams))}
            </>
          )}
        </span>
        <IconButton
          size="small"
          aria-label={text.menu(colony.name)}
          aria-haspopup="menu"
          onClick={(e) => setAnchor(e.currentTarget)}
        >
          ⋯
        </IconButton>
      </header>
      {[...boxes].reverse().map(({ box, i, gaps }) => (
        <div key={i}>
          {boxes.length > 1 && (
            <div className={styles.boxHead}>
              <span>{boxName(i)}</span>
              <b>{dose?.boxes[i] ? `${plain(dose.boxes[i].ml)} mL` : ''}</b>
            </div>
          )}
          <Board
            name={boxes.length > 1 ? `${colony.name}, ${boxName(i)}` : colony.name}
            depth={box.depth}
            slots={box.slots}
            gaps={gaps}
            onSeam={(gap, seam) =>
              edit((c) => {
                const b = c.boxes[i]!
                b.seams = gaps.map((g) => g.seam)
                b.seams[gap] = seam
                b.counted = ''
              })
            }
          />
        </div>
      ))}
      <footer className={styles.colonyFoot}>
        {boxes.map(({ box, i }) => (
          <label key={i}>
            {boxes.length > 1 ? `${i + 1}: ` : ''}
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
        {dose && dose.draws.length > 0 && (
          <span className={styles.draw}>
            {dose.capped
              ? text.asked(plain(dose.asked_ml), dose.seam_ml.toFixed(1))
              : (device !== 'syringe' || dose.draws.length > 1) && drawing(dose.draws, device, docket.draw)}
          </span>
        )}
      </footer>
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
})

const sum = (seams: readonly number[]) => seams.reduce((a, b) => a + b, 0)

const boxName = (i: number) =>
  i === 0 ? text.boxNames.first : i === 1 ? text.boxNames.second : text.boxNames.next(i + 1)

/** The gaps as typed, with what the answer knows of them. */
function gapsOf(box: DraftBox, dose: Schemas['BoxDose'] | undefined): BoardGap[] {
  const answer = dose?.gaps.length === box.slots.length + 1 ? dose.gaps : undefined
  return Array.from({ length: box.slots.length + 1 }, (_, i) => ({
    open: besideComb(box.slots, i),
    seam: box.seams === null ? (answer?.[i]?.seam ?? 0) : (box.seams[i] ?? 0),
    ml: answer?.[i]?.ml,
  }))
}
