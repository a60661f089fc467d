import Button from '@mui/material/Button'
import { useState } from 'react'
import { Link } from 'react-router'
import { client, data, Problem, type Schemas } from '../api/client'
import { Press, Said, useSaving } from '../kit'
import { text } from './text'
import { HiveFront } from '../drawing/HiveFront'
import { changed } from './changed'
import line from './StandLine.module.css'
import page from '../kit/page.module.css'
import styles from './yards.module.css'

type Mode = 'preview' | 'all' | 'right'

/** Colonies from a table: looked at first, stored only on a word. */
export default function ImportPage() {
  const [file, setFile] = useState<File>()
  const [seen, setSeen] = useState<Schemas['Import']>()
  const sending = useSaving(
    async ({ file, mode }: { file: File; mode: Mode }) => {
      try {
        return await data(
          client.POST('/api/import/colonies', {
            params: { query: { mode } },
            body: file as unknown as string,
            bodySerializer: (f: unknown) => f as File,
            headers: { 'Content-Type': 'text/csv' },
          }),
        )
      } catch (e) {
        throw e instanceof Problem && e.status === 413 ? new Problem(413, text.tooBig, {}) : e
      }
    },
    (out) => {
      setSeen(out)
      if (out.stored) changed()
    },
  )
  return (
    <main className={page.page}>
      <div className={page.head}>
        <h1>{text.importTitle}</h1>
        <Link to="/yards">{text.toYard(text.title)}</Link>
      </div>
      <p className="quiet">{text.importHint}</p>
      <div className={page.bar}>
        <Button variant={seen ? 'outlined' : 'contained'} component="label">
          {text.choose}
          <input
            hidden
            type="file"
            accept=".csv,.txt,text/csv"
            onChange={(e) => {
              const chosen = e.target.files?.[0]
              e.target.value = ''
              if (!chosen) return
              setFile(chosen)
              setSeen(undefined)
              sending.save({ file: chosen, mode: 'preview' })
            }}
          />
        </Button>
        {file && <span>{file.name}</span>}
        {sending.busy && <span className="quiet">{text.reading}</span>}
      </div>
      <Said message={sending.message} />
      {file && seen && (
        <Preview seen={seen} busy={sending.busy} store={(mode) => sending.save({ file, mode })} />
      )}
    </main>
  )
}

interface PreviewProps {
  seen: Schemas['Import']
  busy: boolean
  store: (mode: Mode) => void
}

function Preview({ seen, busy, store }: PreviewProps) {
  if (seen.stored > 0)
    return (
      <p data-stored>
        {text.stored(seen.stored)} <Link to="/yards">{text.title}</Link>
      </p>
    )
  return (
    <>
      <p data-preview>
        <b>{text.preview(seen.right, seen.wrong)}</b>{' '}
        {seen.new_yards && text.newYards(seen.new_yards.join(', '))}
      </p>
      {seen.no_latitude && (
        <p data-no-latitude>{text.noLatitude(seen.no_latitude.join(', '), seen.latitude_of)}</p>
      )}
      <div className={page.bar}>
        {seen.wrong === 0 && seen.right > 0 && (
          <Press main says={text.storeAll(seen.right)} off={busy} onPress={() => store('all')} data-store />
        )}
        {seen.wrong > 0 && seen.right > 0 && (
          <Press outlined says={text.storeRight(seen.right)} off={busy} onPress={() => store('right')} />
        )}
      </div>
      {seen.faults && (
        <table className={styles.table}>
          <thead>
            <tr>
              <th>{text.row}</th>
              <th>{text.column}</th>
              <th>{text.fault}</th>
            </tr>
          </thead>
          <tbody>
            {seen.faults.map((f, i) => (
              <tr key={i}>
                <td>{f.row}</td>
                <td>{f.column}</td>
                <td className={page.harm}>{f.text}</td>
              </tr>
            ))}
          </tbody>
        </table>
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
}
