import {
  begin,
  Entries,
  Faults,
  may,
  named,
  type Options,
  type Panel,
  Press,
  useForm,
  useStart,
  Waiting,
  yardsQuery,
} from '../../kit'
import Button from '@mui/material/Button'
import { useInfiniteQuery, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { client, data } from '../../api/client'
import { Lines } from './Lines'
import { OtherForm } from './OtherForm'
import styles from './RegisterPage.module.css'
import { text } from './text'

const DAY = /^\d{4}-\d\d-\d\d$/

type Query = Partial<Record<'yard' | 'method' | 'from' | 'to' | 'group' | 'find', string>> & {
  order?: 'newest' | 'oldest'
}

const filters = (yards: Options): Panel<keyof Query> => ({
  title: text.filters,
  entries: [
    { of: 'yard', label: text.yard, list: true, options: { '': text.allYards, ...yards } },
    { of: 'method', label: text.method, list: true, options: text.methods },
    { of: 'find', as: 'words', label: text.find, most: 80 },
    { of: 'from', as: 'day', label: text.from },
    { of: 'to', as: 'day', label: text.to },
    { of: 'group', label: text.group, columns: 4, options: text.groups },
    { of: 'order', label: text.order, options: text.orders },
  ],
})

/** The medicine record: what was given to which bees, by whom, from what. */
export default function RegisterPage() {
  const role = useStart().me?.role
  const yards = useQuery(yardsQuery)
  const [recording, setRecording] = useState(false)
  const panel = filters(named(yards.data))
  const { typed, change } = useForm('register', panel, () => begin([panel], {}))
  const said = Object.entries(typed).filter(([, v]) => v !== '')
  // Lines of days that were not meant are not taken for those that were.
  const faults = Object.fromEntries(
    said
      .filter(([of, v]) => (of === 'from' || of === 'to') && !DAY.test(v))
      .map(([of]) => [of, text.dayWanted]),
  )
  const query: Query = Object.fromEntries(said.filter(([of]) => !(of in faults)))
  const register = useInfiniteQuery({
    queryKey: ['register', query],
    queryFn: ({ pageParam, signal }) =>
      data(
        client.GET('/api/register', {
          params: { query: { ...query, ...(pageParam && { after: pageParam }) } },
          signal,
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (page) => page.more,
  })
  const lines = register.data?.pages.flatMap((p) => p.lines) ?? []
  return (
    <main className={styles.page} data-register>
      <h1>{text.title}</h1>
      <p className="quiet">{text.intro}</p>
      <div className={`${styles.filters} no-print`}>
        <Faults value={faults}>
          <Entries of={panel} typed={typed} change={change} />
        </Faults>
        <Button href={`/api/export/register?${new URLSearchParams(query).toString()}`} data-csv>
          {text.csv}
        </Button>
        <Press says={text.print} onPress={() => print()} />
      </div>
      {may(role, 'helper') && (
        <div className="no-print">
          {recording ? (
            <OtherForm onDone={() => setRecording(false)} />
          ) : (
            <Press outlined says={text.otherOpen} onPress={() => setRecording(true)} data-record-other />
          )}
        </div>
      )}
      {!register.data && <Waiting query={register} />}
      {register.data && lines.length === 0 && (
        <p data-none>{said.some(([of]) => of !== 'group' && of !== 'order') ? text.noMatch : text.none}</p>
      )}
      <Lines lines={lines} group={typed.group ?? ''} amends={may(role, 'helper')} />
      {register.hasNextPage && (
        <Press
          says={text.more}
          className="no-print"
          onPress={() => void register.fetchNextPage()}
          data-more
        />
      )}
    </main>
  )
}
