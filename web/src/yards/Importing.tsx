import Button from '@mui/material/Button'
import { useState, type ReactNode } from 'react'
import { Link } from 'react-router'
import { Problem, type Schemas } from '../api/client'
import { Press, Said, useSaving } from '../kit'
import { text } from './text'
import { changed } from './changed'
import page from '../kit/page.module.css'
import styles from './yards.module.css'

export type Mode = 'preview' | 'all' | 'right'

interface Outcome {
  right: number
  wrong: number
  stored: number
  faults?: Schemas['RowFault'][]
}

interface Props<Out extends Outcome> {
  hint: string
  send: (file: File, mode: Mode) => Promise<Out>
  stored: (n: number) => string
  /** What was read, as it would be; again reads the file once more, by what was said meanwhile. */
  preview: (seen: Out, again: () => void) => ReactNode
  /** Something must be said before it is stored. */
  asked?: ((seen: Out) => boolean) | undefined
}

/** A file of a table: looked at first, row by row, and stored only on a word. */
export function Importing<Out extends Outcome>({ hint, send, stored, preview, asked }: Props<Out>) {
  const [file, setFile] = useState<File>()
  const [seen, setSeen] = useState<Out>()
  const sending = useSaving(
    async ({ file, mode }: { file: File; mode: Mode }) => {
      try {
        return await send(file, mode)
      } catch (e) {
        throw e instanceof Problem && e.status === 413 ? new Problem(413, text.tooBig, {}) : e
      }
    },
    (out) => {
      setSeen(out)
      if (out.stored) changed()
    },
  )
  const store = (mode: Mode) => file && sending.save({ file, mode })
  return (
    <>
      <p className="quiet">{hint}</p>
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
      {seen && seen.stored > 0 && (
        <p data-stored>
          {stored(seen.stored)} <Link to="/yards">{text.title}</Link>
        </p>
      )}
      {seen && seen.stored === 0 && (
        <>
          <p data-preview>
            <b>{text.preview(seen.right, seen.wrong)}</b>
          </p>
          <div className={page.bar}>
            {seen.wrong === 0 && seen.right > 0 && !asked?.(seen) && (
              <Press
                main
                says={text.storeAll(seen.right)}
                off={sending.busy}
                onPress={() => store('all')}
                data-store
              />
            )}
            {seen.wrong > 0 && seen.right > 0 && !asked?.(seen) && (
              <Press
                outlined
                says={text.storeRight(seen.right)}
                off={sending.busy}
                onPress={() => store('right')}
              />
            )}
          </div>
          {seen.faults && <Wrong faults={seen.faults} />}
          {preview(seen, () => store('preview'))}
        </>
      )}
    </>
  )
}

const Wrong = ({ faults }: { faults: Schemas['RowFault'][] }) => (
  <table className={styles.table}>
    <thead>
      <tr>
        <th>{text.row}</th>
        <th>{text.column}</th>
        <th>{text.stood}</th>
        <th>{text.fault}</th>
      </tr>
    </thead>
    <tbody>
      {faults.map((f, i) => (
        <tr key={i}>
          <td>{f.row}</td>
          <td>{f.column}</td>
          <td>{f.stood}</td>
          <td className={page.harm}>{f.text}</td>
        </tr>
      ))}
    </tbody>
  </table>
)
