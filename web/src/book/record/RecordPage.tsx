import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { Fragment, type ReactNode } from 'react'
import {
  ask,
  begin,
  date,
  Entries,
  named,
  type Options,
  type Panel,
  Press,
  SoFar,
  told,
  useForm,
  useShownFirst,
  useStart,
  Waiting,
  yardsQuery,
} from '../../kit'
import type { Schemas } from '../../api/client'
import styles from './RecordPage.module.css'
import { text } from './text'

const wanted = (years: readonly number[], yards: Options): Panel<'year' | 'to' | 'yard' | 'columns'> => ({
  title: text.wanted,
  entries: [
    {
      of: 'year',
      label: text.year,
      list: true,
      options: Object.fromEntries(years.map((y) => [y, `${y}`])),
    },
    {
      of: 'to',
      label: text.to,
      list: true,
      options: { '': text.sameYear, ...Object.fromEntries(years.map((y) => [y, `${y}`])) },
    },
    { of: 'yard', label: text.yard, list: true, options: { '': text.allYards, ...yards } },
    { of: 'columns', label: text.columns, list: true, options: text.templates },
  ],
})

/** The medicine record of a year as an inspector reads it: by yard and hive, on paper or as a table. */
export default function RecordPage() {
  const { me, now } = useStart()
  const yards = useQuery(yardsQuery)
  const { typed, change } = useForm('record', wanted([], {}), () => ({
    ...begin([wanted([], {})], {}),
    year: now.slice(0, 4),
  }))
  const year = Number(typed.year)
  const to = Math.max(year, Number(typed.to || 0))
  const query = {
    year,
    ...(to > year && { to }),
    ...(typed.yard && { yard: typed.yard }),
    ...(typed.columns && { columns: typed.columns }),
  }
  const asked = useShownFirst((first) =>
    ask(['register', 'record', { ...query, first }], '/api/record', { query: { ...query, first } }),
  )
  const record = asked.data
  const years = [year, ...(record?.years ?? [])]
  return (
    <main className={styles.page} data-record>
      <h1>{text.title(year, to)}</h1>
      <p className={styles.whose}>
        {me?.operation} · {text.printed(date(now.slice(0, 10)))} · {text.zone(me?.time_zone ?? '')}{' '}
        <SoFar of={record?.so_far} />
      </p>
      <div className={`${styles.wanted} no-print`}>
        <Entries of={wanted(years, named(yards.data))} typed={typed} change={change} />
        <Press main says={text.print} off={record?.so_far !== undefined} onPress={() => print()} />
        <Button
          href={`/api/export/record?${new URLSearchParams({ ...query, year: `${year}`, to: `${to}` }).toString()}`}
          data-csv
        >
          {text.csv}
        </Button>
      </div>
      {!record ? (
        <Waiting query={asked.query} />
      ) : record.lines === 0 && !record.so_far ? (
        <p>{text.none(year, to)}</p>
      ) : (
        <>
          {record.yards.map((y, i) => (
            <Yard key={y.name} yard={y} holder={record.holder ?? []} columns={record.columns}>
              {i + 1 === record.yards.length && !record.so_far && (
                <Sum lines={record.lines} fingerprint={record.fingerprint ?? ''} />
              )}
            </Yard>
          ))}
        </>
      )}
    </main>
  )
}

/** How many lines there are, and where to sign for them. */
const Sum = ({ lines, fingerprint }: { lines: number; fingerprint: string }) => (
  <>
    <p className={styles.sum} data-lines>
      {text.lines(lines)}
    </p>
    <p className="quiet" data-fingerprint>
      {text.fingerprint} {fingerprint.match(/.{1,8}/g)?.join(' ')}
    </p>
    <dl className={styles.sign}>
      {text.sign.map((of) => (
        <div key={of}>
          <dt>{of}</dt>
          <dd />
        </div>
      ))}
    </dl>
  </>
)

interface YardProps {
  yard: Schemas['RecordYard']
  /** Who keeps the bees, on every page. */
  holder: readonly string[]
  columns: string[]
  /** What ends the book, under the heads of the last table: nobody signs a sheet with nothing on it. */
  children: ReactNode
}

function Yard({ yard, holder, columns, children }: YardProps) {
  return (
    <section data-record-yard={yard.name}>
      <h2>
        {yard.name}{' '}
        <small className="quiet">
          {[yard.place, yard.registration_no && text.yardNo(yard.registration_no)]
            .filter(Boolean)
            .join(' · ')}
        </small>
      </h2>
      <div className={styles.wide} role="region" aria-label={yard.name} tabIndex={0}>
        <table className={styles.table}>
          <thead>
            <tr className={styles.whosePage}>
              <td colSpan={columns.length + 1}>{[...holder, yard.name].join(' · ')}</td>
            </tr>
            <tr>
              <th>{text.hive}</th>
              {columns.map((c) => (
                <th key={c}>{text.heads[c]}</th>
              ))}
            </tr>
          </thead>
          {yard.colonies.map((c) => (
            <tbody key={c.id}>
              {c.lines.map((l, i) => (
                <Fragment key={i}>
                  <tr data-record-line>
                    <th scope="row">{i === 0 && c.name}</th>
                    {l.cells.map((cell, k) => (
                      <td key={k}>{told(cell)}</td>
                    ))}
                  </tr>
                  {l.remarks?.map((remark) => (
                    <tr key={remark} className={styles.remark} data-remark>
                      <td />
                      <td colSpan={columns.length}>{told(remark)}</td>
                    </tr>
                  ))}
                  {l.changes?.map((was) => (
                    <tr key={was} className={styles.change}>
                      <td />
                      <td colSpan={columns.length}>{told(was)}</td>
                    </tr>
                  ))}
                </Fragment>
              ))}
            </tbody>
          ))}
          {children && (
            <tbody className={styles.ends}>
              <tr>
                <td colSpan={columns.length + 1}>{children}</td>
              </tr>
            </tbody>
          )}
        </table>
      </div>
    </section>
  )
}
