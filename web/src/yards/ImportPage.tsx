import { useRef, useState } from 'react'
import { Link } from 'react-router'
import { client, data, type Schemas } from '../api/client'
import { Choice } from '../kit'
import { text } from './text'
import { HiveFront } from '../drawing/HiveFront'
import { Importing, type Mode } from './Importing'
import { MappedColumns } from './MappedColumns'
import line from './StandLine.module.css'
import page from '../kit/page.module.css'
import styles from './yards.module.css'

type What = keyof typeof text.importKinds

/** Hives, or what was written down of them elsewhere, from a table. */
export default function ImportPage() {
  const [what, setWhat] = useState<What>('hives')
  return (
    <main className={page.page}>
      <div className={page.head}>
        <h1>{text.importTitle}</h1>
        <Link to="/yards">{text.toYard(text.title)}</Link>
      </div>
      <Choice
        label={text.importWhat}
        columns={4}
        value={what}
        options={text.importKinds}
        onChange={setWhat}
      />
      {what === 'hives' ? (
        <Importing key={what} hint={text.importHint} send={hives} stored={text.stored} preview={drawn} />
      ) : (
        <Records key={what} kind={what} />
      )}
    </main>
  )
}

/** What was written down elsewhere: what each column means is shown, and changed, before anything is written. */
function Records({ kind }: { kind: Exclude<What, 'hives'> }) {
  const said = useRef<Said>({ column: {} })
  const [allOut, setAllOut] = useState<boolean>()
  return (
    <Importing
      hint={text.importHints[kind]}
      send={(file, mode) => records(kind, file, mode, said.current)}
      stored={text.storedRecords}
      asked={(seen) => (seen.no_out ?? 0) > 0 && allOut === undefined}
      preview={(seen, again) => (
        <>
          <MappedColumns
            seen={seen}
            onColumn={(head, column) => {
              said.current.column[head] = column
              again()
            }}
            onDays={(days) => {
              said.current.days = days
              again()
            }}
          />
          {(seen.no_out ?? 0) > 0 && (
            <Choice
              label={text.allOutAsk(seen.no_out ?? 0)}
              columns={2}
              value={allOut === undefined ? '' : allOut ? 'yes' : 'no'}
              options={text.allOut}
              onChange={(answer) => {
                said.current.all_out = answer === 'yes'
                setAllOut(answer === 'yes')
              }}
            />
          )}
          {listed(seen)}
        </>
      )}
    />
  )
}

/** What the keeper said of a file. */
interface Said {
  column: Record<string, string>
  days?: 'day_month' | 'month_day'
  all_out?: boolean
}

/** A file goes as it is. */
const asText = (file: File, mode: Mode) => ({
  query: { mode },
  body: {
    body: file as unknown as string,
    bodySerializer: (f: unknown) => f as File,
    headers: { 'Content-Type': 'text/csv' },
  },
})

function hives(file: File, mode: Mode) {
  const { query, body } = asText(file, mode)
  return data(client.POST('/api/import/colonies', { params: { query }, ...body }))
}

function records(kind: Exclude<What, 'hives'>, file: File, mode: Mode, { column, ...said }: Said) {
  const { query, body } = asText(file, mode)
  const columns = Object.entries(column).map(([head, of]) => `${head}=${of}`)
  return data(
    client.POST('/api/import/records/{kind}', {
      params: { path: { kind }, query: { ...query, ...said, file: file.name, column: columns } },
      ...body,
    }),
  )
}

/** The hives of a file, as they would stand. */
const drawn = (seen: Schemas['Import']) => (
  <>
    {seen.new_yards && <p>{text.newYards(seen.new_yards.join(', '))}</p>}
    {seen.no_latitude && (
      <p data-no-latitude>{text.noLatitude(seen.no_latitude.join(', '), seen.latitude_of)}</p>
    )}
    {[...new Set(seen.colonies.map((c) => c.yard))].map((yard) => (
      <section key={yard} data-preview-yard={yard}>
        <h2>{yard}</h2>
        <div className={line.line}>
          {seen.colonies
            .filter((c) => c.yard === yard)
            .map((c) => (
              <div key={c.row} className={line.stand}>
                <HiveFront boxes={c.stack} />
                <span className={line.ground} />
                <b>{c.name}</b>
                <small>{c.boxes}</small>
              </div>
            ))}
        </div>
      </section>
    ))}
  </>
)

/** The rows of a file, as they were read; a column in which nothing stands is left out. */
function listed(seen: Schemas['RecordsImport']) {
  const used = seen.columns.flatMap((name, i) => (seen.seen.some((r) => r.cells[i]) ? [{ name, i }] : []))
  if (seen.seen.length === 0) return null
  return (
    <table className={styles.table} data-preview-rows>
      <thead>
        <tr>
          {used.map(({ name }) => (
            <th key={name}>{name.replaceAll('_', ' ')}</th>
          ))}
        </tr>
      </thead>
      <tbody>
        {seen.seen.map((r) => (
          <tr key={r.row}>
            {used.map(({ name, i }) => (
              <td key={name}>{r.cells[i]}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  )
}
