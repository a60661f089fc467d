import { Choice, Field, may, named, Pick, Press, useKept, useStart, Waiting, yardsQuery } from '../../kit'
import Button from '@mui/material/Button'
import { useInfiniteQuery, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { client, data } from '../../api/client'
import { Lines } from './Lines'
import { OtherForm } from './OtherForm'
import styles from './RegisterPage.module.css'
import { text } from './text'

const DAY = /^\d{4}-\d\d-\d\d$/

/** The medicine record: what was given to which bees, by whom, from what. */
export default function RegisterPage() {
  const role = useStart().me?.role
  const yards = useQuery(yardsQuery)
  const [recording, setRecording] = useState(false)
  const asked = useKept('register', () => ({
    yard: '',
    method: '',
    group: '',
    order: 'newest',
    from: '',
    to: '',
  }))
  const { yard, method, group, order, from, to } = asked.value
  const query = {
    ...(yard && { yard }),
    ...(method && { method }),
    ...(group && { group }),
    order: order as 'newest' | 'oldest',
    ...(DAY.test(from) && { from }),
    ...(DAY.test(to) && { to }),
  }
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
  const change = (part: Partial<typeof asked.value>) => asked.set({ ...asked.value, ...part })
  return (
    <main className={styles.page} data-register>
      <h1>{text.title}</h1>
      <p className="quiet">{text.intro}</p>
      <div className={`${styles.filters} no-print`}>
        <Pick
          label={text.yard}
          value={yard}
          options={named(yards.data)}
          none={text.allYards}
          onChange={(v) => change({ yard: v })}
        />
        <Pick
          label={text.method}
          value={method}
          options={text.methods}
          onChange={(v) => change({ method: v })}
        />
        <Field
          text
          label={text.from}
          placeholder={text.dayHint}
          value={from}
          onChange={(v) => change({ from: v })}
        />
        <Field
          text
          label={text.to}
          placeholder={text.dayHint}
          value={to}
          onChange={(v) => change({ to: v })}
        />
        <Choice
          label={text.group}
          columns={4}
          value={group}
          options={text.groups}
          onChange={(g) => change({ group: g })}
        />
        <Choice
          label={text.order}
          columns={2}
          value={order}
          options={text.orders}
          onChange={(o) => change({ order: o })}
        />
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
      {register.data && lines.length === 0 && <p>{text.none}</p>}
      <Lines lines={lines} group={group} amends={may(role, 'helper')} />
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
