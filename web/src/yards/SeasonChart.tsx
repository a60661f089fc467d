import type { KeyboardEvent, PointerEvent } from 'react'
import { Blank, month } from '../kit'
import styles from './SeasonChart.module.css'
import { text } from './text'

interface Season {
  name: string
  /** 1 to 12, in their order. */
  months: readonly number[]
  path: string
  typed: string
  /** What is typed, as a figure; 0 is no threshold. */
  at: number
  /** The trade's; 0 where there is none. */
  usual: number
  set: (typed: string) => void
}

interface Props {
  title: string
  step: number
  seasons: readonly Season[]
}

/** The year by its seasons, with the threshold of each: dragged, or typed where it stands. */
export function SeasonChart({ title, step, seasons }: Props) {
  const highest = Math.max(...seasons.flatMap(({ at, usual }) => [at || 0, usual]))
  const top = Math.max(4 * step, highest * 1.4)
  const width = seasons.map(({ months }) => `minmax(60px, ${months.length}fr)`).join(' ')
  return (
    <section className={styles.chart}>
      <h2>{title}</h2>
      <div className={styles.year} style={{ gridTemplateColumns: width }}>
        {seasons.map((s) => (
          <Column key={s.path} season={s} title={title} step={step} top={top} />
        ))}
      </div>
    </section>
  )
}

interface ColumnProps {
  season: Season
  title: string
  step: number
  top: number
}

function Column({ season, title, step, top }: ColumnProps) {
  const { name, months, path, typed, usual, set } = season
  const at = Number.isFinite(season.at) ? Math.max(0, season.at) : 0
  const percent = (v: number) => `${(100 * Math.min(v, top)) / top}%`
  const stepped = (v: number) => set(String(Math.max(0, Math.round(v / step) * step)))
  const drag = (e: PointerEvent<HTMLElement>) => {
    if (e.buttons === 0) return
    const { top: above, height } = e.currentTarget.parentElement!.getBoundingClientRect()
    stepped((1 - (e.clientY - above) / height) * top)
  }
  const keys: Record<string, number> = {
    ArrowUp: step,
    ArrowDown: -step,
    PageUp: 5 * step,
    PageDown: -5 * step,
  }
  const press = (e: KeyboardEvent) => {
    const by = keys[e.key]
    if (by === undefined) return
    e.preventDefault()
    stepped(at + by)
  }
  return (
    <div className={styles.season} data-season={path}>
      <div className={styles.column}>
        {at > 0 && (
          <span className={styles.over} style={{ bottom: percent(at) }}>
            {text.treatFrom}
          </span>
        )}
        {usual > 0 && <i className={styles.usual} style={{ bottom: percent(usual) }} />}
        <span
          className={styles.handle}
          style={{ bottom: percent(at) }}
          role="slider"
          tabIndex={0}
          aria-label={`${title}, ${name}`}
          aria-valuemin={0}
          aria-valuenow={at}
          aria-orientation="vertical"
          onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
          onPointerMove={drag}
          onKeyDown={press}
        />
      </div>
      <Blank label={`${title}, ${name}`} path={path} value={typed} onChange={set} />
      <b>{name}</b>
      <small className="quiet">
        <span>{span(months)}</span> <span>{text.trade(usual)}</span>
      </small>
    </div>
  )
}

/** The months of a season in short: Dec–Feb. */
const span = (months: readonly number[]) =>
  [...new Set([months[0], months.at(-1)])]
    .flatMap((m) => (m === undefined ? [] : month(`2026-${String(m).padStart(2, '0')}-15`)))
    .join('–')
