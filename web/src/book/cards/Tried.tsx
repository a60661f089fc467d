import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Suspense, useState } from 'react'
import { client, data, Problem, type Schemas } from '../../api/client'
import { named, Pick, yardQuery, yardsQuery } from '../../kit'
import { PARTS } from '../../method/registry'
import page from '../../kit/page.module.css'
import styles from './Tried.module.css'
import { text } from './text'

type Card = Omit<Schemas['TryCard'], 'colony_id'>

/** What a card would give a hive of one's own, as it was last seen. */
export function Tried({ card, readable }: { card: Card; readable: boolean }) {
  const yards = useQuery(yardsQuery)
  const [chosen, choose] = useState<{ yard?: string; hive?: string }>({})
  const yard = chosen.yard ?? yards.data?.[0]?.id
  const stands = useQuery({ ...yardQuery(yard ?? ''), enabled: yard !== undefined })
  const hive = chosen.hive ?? stands.data?.stands[0]?.id
  const body = { ...card, ...(hive && { colony_id: hive }) }
  const tried = useQuery({
    queryKey: ['tried', body],
    queryFn: ({ signal }) => data(client.POST('/api/cards/tried', { body, signal })),
    enabled: readable && yards.data !== undefined && (yard === undefined || stands.data !== undefined),
    placeholderData: keepPreviousData,
  })
  const { Boards } = PARTS[card.method]
  // What is only not filled in yet is wrong at no field.
  const seams =
    tried.error instanceof Problem && Object.entries(tried.error.faults).find(([f]) => f.includes('colonies'))
  return (
    <aside className={page.panel} data-tried>
      <h2>{text.gives}</h2>
      {yard && (
        <p className={styles.which}>
          <Pick
            label={text.yard}
            value={yard}
            options={named(yards.data)}
            onChange={(y) => choose({ yard: y })}
          />
          <Pick
            label={text.hive}
            value={hive ?? ''}
            options={named(stands.data?.stands)}
            onChange={(h) => choose({ yard, hive: h })}
          />
        </p>
      )}
      {tried.data && !tried.error ? (
        <>
          <div className={styles.hive}>
            <Suspense>
              <Boards batch={tried.data} />
            </Suspense>
          </div>
          {tried.data.notes.map((n) => (
            <p key={n.code + n.text} className={page.harm}>
              {n.text}
            </p>
          ))}
        </>
      ) : (
        <p className="quiet">{seams ? seams[1] : text.toTry}</p>
      )}
    </aside>
  )
}
