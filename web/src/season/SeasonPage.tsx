import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { client, data, type Schemas } from '../api/client'
import {
  ask,
  Asking,
  Choice,
  date,
  enter,
  Faults,
  Field,
  Press,
  readOne,
  Said,
  useSaving,
  useStart,
  Waiting,
} from '../kit'
import page from '../kit/page.module.css'
import { Truth } from './Truth'
import { text } from './text'

type Level = keyof typeof text.levels

/** A year of practice with hives that are made up: how it begins, and what was true at its end. */
export default function SeasonPage() {
  const season = useStart().me?.practice
  return (
    <main className={page.page}>
      <h1>{text.title}</h1>
      {season ? <Playing season={season} /> : <p>{text.what}</p>}
      <Begin again={season !== undefined} />
    </main>
  )
}

function Begin({ again }: { again: boolean }) {
  const [level, setLevel] = useState<Level>(2)
  const [typed, setTyped] = useState('')
  const navigate = useNavigate()
  const seed = readOne('seed', typed)
  const beginning = useSaving(
    () =>
      data(
        client.POST('/api/practice', {
          body: { level, ...(seed.figure !== undefined && { seed: seed.figure }) },
        }),
      ),
    (start) => {
      enter(start)
      void navigate('/yards')
    },
  )
  return (
    <Faults value={{ ...beginning.faults, ...(typed && seed.faults) }}>
      <section className={page.form} data-begin-season>
        {again && (
          <>
            <h2>{text.anew}</h2>
            <p className="quiet">{text.anewHint}</p>
          </>
        )}
        <Choice
          label={text.level}
          columns={3}
          value={`${level}`}
          options={text.levels}
          path="level"
          onChange={(v) => setLevel(Number(v) as Level)}
        />
        <p className="quiet">{text.levelHints[level]}</p>
        <Field label={text.seed} path="seed" value={typed} hint={text.seedHint} onChange={setTyped} />
        <Said message={'seed' in beginning.faults ? undefined : beginning.message} />
        <Press
          main
          big
          says={beginning.busy ? text.beginning : text.begin}
          off={beginning.busy || (typed !== '' && 'seed' in seed.faults)}
          onPress={() => beginning.save()}
          data-begin
        />
      </section>
    </Faults>
  )
}

function Playing({ season }: { season: Schemas['Practice'] }) {
  const [shown, setShown] = useState(false)
  const navigate = useNavigate()
  const verdict = useQuery({ ...ask(['practice', 'verdict'], '/api/practice/verdict'), enabled: shown })
  const leaving = useSaving(
    () => data(client.POST('/api/practice/leave')),
    (start) => {
      enter(start)
      void navigate('/')
    },
  )
  return (
    <>
      <section className={page.panel}>
        <p data-season={season.seed}>
          {text.share(season.seed, text.levels[season.level as keyof typeof text.levels])}{' '}
          {text.until(date(season.to))}
        </p>
        <div className={page.actions}>
          <Link to="/yards">{text.toYard}</Link>
          {!shown && (
            <Asking action={text.truth} hint={text.truthHint} yes={text.yes} onYes={() => setShown(true)} />
          )}
          <Asking
            harm
            action={text.leave}
            hint={text.leaveHint}
            yes={text.leaveYes}
            onYes={() => leaving.save()}
          />
        </div>
        <Said message={leaving.message} />
      </section>
      {shown && (verdict.data ? <Truth verdict={verdict.data} /> : <Waiting query={verdict} />)}
    </>
  )
}
