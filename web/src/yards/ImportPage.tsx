import { useState } from 'react'
import { Link } from 'react-router'
import { client, data, type Schemas } from '../api/client'
import { Choice } from '../kit'
import { text } from './text'
import { HiveFront } from '../drawing/HiveFront'
import { Importing, type Mode } from './Importing'
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
        <Importing
          key={what}
          hint={text.importHints[what]}
          send={(file, mode) => records(what, file, mode)}
          stored={text.storedRecords}
          preview={listed}
        />
      )}
    </main>
  )
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

function records(kind: Exclude<What, 'hives'>, file: File, mode: Mode) {
  const { query, body } = asText(file, mode)
  return data(client.POST('/api/import/records/{kind}', { params: { path: { kind }, query }, ...body }))
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
