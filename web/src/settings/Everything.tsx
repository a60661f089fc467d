import Button from '@mui/material/Button'
import { useRef } from 'react'
import { client, data } from '../api/client'
import { may, Press, queries, Said, useSaving, useStart } from '../kit'
import page from '../kit/page.module.css'
import { text } from './text'

/** Everything of the operation as one file: taken out, or taken into an empty one. */
export function Everything() {
  const { me } = useStart()
  const file = useRef<HTMLInputElement>(null)
  const taking = useSaving(
    (archive: File) =>
      data(
        client.POST('/api/import/archive', {
          body: archive as never,
          bodySerializer: (body: unknown) => body as BodyInit,
          headers: { 'Content-Type': 'application/zip' },
        }),
      ),
    () => void queries.invalidateQueries(),
  )
  if (!may(me?.role, 'owner')) return null
  return (
    <section className={page.form} data-everything>
      <h2>{text.everything}</h2>
      <p className="quiet">{text.everythingHint}</p>
      <div className={page.bar}>
        <Button component="a" variant="outlined" href="/api/export/archive">
          {text.takeOut}
        </Button>
        {me?.kept_until === undefined && (
          <Press
            off={taking.busy}
            says={taking.busy ? text.takingIn : text.takeIn}
            onPress={() => file.current?.click()}
          />
        )}
        <input
          ref={file}
          type="file"
          accept=".zip,application/zip"
          hidden
          aria-label={text.takeIn}
          data-archive
          onChange={(e) => {
            const archive = e.target.files?.[0]
            e.target.value = ''
            if (archive) taking.save(archive)
          }}
        />
      </div>
      <Said message={taking.message} />
      {taking.done && taking.out && (
        <p role="status" data-taken-in>
          {text.tookIn(taking.out.colonies, taking.out.applications)}
        </p>
      )}
    </section>
  )
}
