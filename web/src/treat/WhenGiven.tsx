import { useState } from 'react'
import type { Schemas } from '../api/client'
import { clock, dayMonth, Field, PickDay, Press, useKept, useStart } from '../kit'
import { text } from './text'
import shared from './treat.module.css'
import styles from './WhenGiven.module.css'

/** When and by whom a round was given that is entered afterwards. */
export interface Entered {
  day: string
  hour: string
  giver: string
}

type Round = Pick<Schemas['Visit'], 'job_id' | 'day'>

/** What is said of all lines that are written into a round; undefined: they are given now, by who writes. */
export function useEntered(round: Round) {
  return useKept<Entered | null>(`round.entered.${round.job_id}.${round.day}`, () => null)
}

/** The same as the lines carry it. */
export const enteredFields = (entered: Entered | null) =>
  entered ? { given_on: `${entered.day}T${entered.hour}`, giver: entered.giver } : {}

/**
 * Today as the work knows it: the server's when the page began, or this phone's own where that is later, which
 * is right without signal, too. The demo's clock stands still.
 */
export function useToday() {
  const { demo, me, now } = useStart()
  const [here] = useState(phoneDay)
  const there = now.slice(0, 10)
  return demo || me?.practice || there > here ? there : here
}

function phoneDay() {
  const now = new Date()
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 10)
}

interface Props {
  round: Round
  entered: Entered | null
  onEntered: (entered: Entered | null) => void
  /** It is asked for, whatever the day: what is typed in was given before. */
  always?: boolean
}

/** On which day doses are recorded, where that is not the day that was planned. */
export function WhenGiven({ round, entered, onEntered, always }: Props) {
  const today = useToday()
  const [asking, setAsking] = useState(false)
  if (asking)
    return (
      <AskWhen
        first={entered ?? { day: round.day < today ? round.day : today, hour: '', giver: '' }}
        today={today}
        onSaid={(e) => {
          onEntered(e)
          setAsking(false)
        }}
        onCancel={() => setAsking(false)}
      />
    )
  if (entered)
    return (
      <p className={styles.head} role="status" data-when="afterwards">
        {text.enteredAs(dayMonth(entered.day), clock(`${entered.day}T${entered.hour}`), entered.giver)}{' '}
        <Press outlined says={text.enteredChange} onPress={() => setAsking(true)} />
        <Press says={text.enteredNow} onPress={() => onEntered(null)} />
      </p>
    )
  if (round.day === today && !always) return null
  return (
    <p className={styles.head} role="status" data-when="today">
      {round.day === today
        ? text.givenToday(dayMonth(today))
        : text.plannedFor(dayMonth(round.day), dayMonth(today))}{' '}
      {(round.day < today || always) && (
        <Press outlined says={text.givenEarlier} onPress={() => setAsking(true)} data-given-earlier />
      )}
    </p>
  )
}

interface AskProps {
  first: Entered
  today: string
  onSaid: (entered: Entered) => void
  onCancel: () => void
}

/** Day, hour and giver, asked for once. */
function AskWhen({ first, today, onSaid, onCancel }: AskProps) {
  const me = useStart().me?.login ?? ''
  const [said, setSaid] = useState({ ...first, giver: first.giver || me })
  const complete = said.day <= today && /^\d{4}-/.test(said.day) && /^\d\d:\d\d$/.test(said.hour)
  return (
    <form
      className={styles.head}
      data-when-form
      onSubmit={(e) => {
        e.preventDefault()
        if (complete) onSaid({ ...said, giver: said.giver.trim() })
      }}
    >
      <PickDay
        label={text.givenDay}
        value={said.day}
        max={today}
        onChange={(day) => setSaid({ ...said, day })}
      />
      <label className={styles.hour}>
        {text.givenHour}
        <input
          type="time"
          value={said.hour}
          onChange={(e) => setSaid({ ...said, hour: e.target.value })}
          data-given-hour
        />
      </label>
      <Field
        text
        label={text.givenBy}
        path="giver"
        most={80}
        value={said.giver}
        onChange={(giver) => setSaid({ ...said, giver })}
      />
      <div className={shared.takes}>
        <Press big outlined says={text.cancel} onPress={onCancel} />
        <Press submit big main says={text.enteredSave} off={!complete} data-when-yes />
      </div>
    </form>
  )
}
