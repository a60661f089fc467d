import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { may, Press, useStart, Waiting, yardQuery, yardsQuery } from '../kit'
import type { Schemas } from '../api/client'
import { StandLine } from './StandLine'
import { text } from './text'
import page from '../kit/page.module.css'
import styles from './yards.module.css'
import { YardForm } from './YardForm'

/** All yards, each as it stands. */
export default function YardsScreen() {
  const role = useStart().me?.role
  const [adding, setAdding] = useState(false)
  const yards = useQuery(yardsQuery)
  return (
    <main className={page.page}>
      <div className={page.head}>
        <h1>{text.title}</h1>
        <span className={page.actions}>
          {may(role, 'keeper') && (
            <>
              <Press main says={text.addYard} onPress={() => setAdding(true)} />
              <Press says={text.importTable} to="/import" />
            </>
          )}
          <Button component="a" href="/api/export/colonies">
            {text.exportTable}
          </Button>
          <Press says={text.thresholds} to="/thresholds" />
          <Press says={text.cards} to="/cards" />
        </span>
      </div>
      {adding && <YardForm onClose={() => setAdding(false)} />}
      {!yards.data && <Waiting query={yards} />}
      {yards.data?.length === 0 && !adding && <p>{text.none}</p>}
      {yards.data?.map((y) => (
        <YardStrip key={y.id} yard={y} />
      ))}
    </main>
  )
}

function YardStrip({ yard }: { yard: Schemas['Yard'] }) {
  const whole = useQuery(yardQuery(yard.id))
  return (
    <section className={styles.yard} data-yard={yard.name}>
      <div className={page.head}>
        <h2>
          <Link to={`/yards/${yard.id}`}>{yard.name}</Link>
        </h2>
        <span className="quiet">
          {text.standing(yard.colonies)}
          {yard.place && ` · ${yard.place}`}
        </span>
      </div>
      {whole.data && whole.data.over > 0 && <p className={styles.alarm}>{text.over(whole.data.over)}</p>}
      {yard.colonies === 0 && <p className="quiet">{text.noHives}</p>}
      {whole.data && <StandLine stands={whole.data.stands} />}
    </section>
  )
}
