import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useLocation, useParams } from 'react-router'
import { colonyQuery, date, daysBetween, may, Press, seams as fraction, useStart, Waiting } from '../kit'
import type { Schemas } from '../api/client'
import { HiveFront } from '../drawing/HiveFront'
import { MiteGauge } from '../drawing/MiteGauge'
import { ColonyForm } from './ColonyForm'
import { ColonySteps } from './ColonySteps'
import { CountList } from './CountList'
import { Glimpse } from '../hive/Glimpse'
import { inWords } from '../hive/shape'
import { text } from './text'
import { YearPanel } from './year/YearPanel'
import { Treatments } from './Treatments'
import page from '../kit/page.module.css'
import shared from './yards.module.css'
import styles from './ColonyPage.module.css'

type Whole = Schemas['ColonyWhole']

/** One colony: what is known of it, and all that happened. */
export default function ColonyPage() {
  const { id = '' } = useParams()
  const { role, practice } = useStart().me ?? {}
  const state = useLocation().state as { said?: string } | null
  const [editing, setEditing] = useState(false)
  const colony = useQuery(colonyQuery(id))
  if (!colony.data) return <Waiting query={colony} />
  const c = colony.data
  const alive = c.ended_on === undefined
  return (
    <main className={page.page}>
      <div className={page.head}>
        <Link to={`/yards/${c.yard_id}`}>{text.toYard(c.yard_name)}</Link>
        <h1>{c.name}</h1>
        <span className="quiet">{inWords(c.boxes)}</span>
        <span className={page.actions}>
          {alive && may(role, 'keeper') && !editing && (
            <Press outlined says={text.edit} onPress={() => setEditing(true)} data-edit />
          )}
        </span>
      </div>
      {state?.said && (
        <p role="status" data-said-here>
          {state.said}
        </p>
      )}
      {!alive && <p className={shared.alarm}>{text.ended(date(c.ended_on ?? ''), c.end_reason ?? '')}</p>}
      {editing && <ColonyForm yard={c.yard_id} colony={c} onClose={() => setEditing(false)} />}
      <Known colony={c} />
      {alive && practice && <Glimpse id={c.id} name={c.name} />}
      <YearPanel colony={c} />
      {alive && !practice && <Glimpse id={c.id} name={c.name} />}
      {c.notes && <p>{c.notes}</p>}
      <div className={shared.columns}>
        <section>
          <h2>{text.treatments}</h2>
          <Treatments colony={c} helper={alive && may(role, 'helper')} />
        </section>
        <section>
          <h2>{text.inspections}</h2>
          <Inspections inspections={c.inspections} />
        </section>
        <section>
          <h2>{text.counts}</h2>
          <CountList counts={c.counts} helper={may(role, 'helper')} />
        </section>
        <section>
          <h2>{text.history}</h2>
          <ul className={shared.entries}>
            <li>
              <span>{date(c.started_on)}</span>
              <b>{text.events.began}</b>
            </li>
            {c.events.map((e, i) => (
              <li key={i}>
                <span>{date(e.on)}</span>
                <b>{text.events[e.kind]}</b>
                {e.other_id ? <Link to={`/colonies/${e.other_id}`}>{e.detail}</Link> : e.detail}
              </li>
            ))}
          </ul>
          {alive && may(role, 'keeper') && <ColonySteps colony={c} />}
        </section>
      </div>
    </main>
  )
}

/** The hive, and the newest of each thing that was seen, with its age. */
function Known({ colony }: { colony: Whole }) {
  const { boxes, seen, count, need, for_honey, changed, brood_break: broken, honey_held: held } = colony
  const { now } = useStart()
  const facts = [
    [text.head[2], seen.seams === undefined ? undefined : fraction(seen.seams), seen.seams_on],
    [text.head[3], text.brood[seen.brood ?? ''], seen.brood_on],
    [text.larvaeAsk, open(seen.larvae), seen.brood_on],
    [text.eggsAsk, open(seen.eggs), seen.brood_on],
    [text.head[4], text.stores[seen.stores ?? ''], seen.stores_on],
    [text.head[5], seen.supers === undefined ? undefined : String(seen.supers), seen.supers_on],
    [text.head[6], text.queen[seen.queen ?? ''], seen.queen_on],
  ] as const
  return (
    <section className={page.panel}>
      {changed && (
        <p className={shared.alarm} data-changed={changed}>
          {text.changed(text.changedSince[changed] ?? changed, date(colony.changed_on ?? ''))}
        </p>
      )}
      {broken && (
        <p data-brood-break>
          {text.window(date(broken.stopped_on), date(broken.from), broken.to ? date(broken.to) : '')}
        </p>
      )}
      {held && <p data-honey-held>{held.words}</p>}
      <div className={styles.figures}>
        <HiveFront boxes={boxes} seams={seen.seams} forHoney={for_honey} />
        {facts.map(([label, value, on]) => (
          <div key={label}>
            <span>{label}</span>
            <b>{value ?? '–'}</b>
            <span>{on && value !== undefined ? text.ago(daysBetween(on, now)) : text.notLooked}</span>
          </div>
        ))}
        <div>
          <span>{text.head[7]}</span>
          <div>
            <MiteGauge standing={count} />
          </div>
          <b>{text.need[need]}</b>
        </div>
      </div>
    </section>
  )
}

/** Whether it was seen, in the words that it is asked in. */
const open = (seen: boolean | undefined) => (seen === undefined ? undefined : text.openBrood[`${seen}`])

function Inspections({ inspections }: { inspections: readonly Schemas['Inspection'][] }) {
  if (inspections.length === 0) return <p className="quiet">{text.noInspections}</p>
  return (
    <ul className={shared.entries}>
      {inspections.slice(0, 20).map((l) => (
        <li key={l.id}>
          <span>{date(l.on ?? '')}</span>
          {l.seams !== undefined && <b>{text.seams(l.seams)}</b>}
          {l.brood && `${text.broodAsk.toLowerCase()} ${text.brood[l.brood] ?? ''}`}
          {l.larvae !== undefined && ` · ${text.larvaeAsk.toLowerCase()} ${open(l.larvae) ?? ''}`}
          {l.eggs !== undefined && ` · ${text.eggsAsk.toLowerCase()} ${open(l.eggs) ?? ''}`}
          {l.stores && ` · ${text.stores[l.stores] ?? ''}`}
          {l.queen && ` · ${text.queenAsk.toLowerCase()} ${text.queen[l.queen] ?? ''}`}
          {l.temper && ` · ${text.temper[l.temper] ?? ''}`}
          {l.note && <i>{l.note}</i>}
        </li>
      ))}
    </ul>
  )
}
