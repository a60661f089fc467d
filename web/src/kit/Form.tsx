import { useState, type ReactNode } from 'react'
import { atFields, pathOf, type Panel, type Typed } from './entries'
import { Faults } from './faults'
import { Entries, type EntriesProps } from './Panels'
import page from './page.module.css'
import styles from './Form.module.css'
import type { Reader } from './reader'
import { Said } from './Said'
import { onSent } from './sending'
import { text } from './text'
import type { useSaving } from './useSaving'
import { Press } from './Press'

interface Props<Key extends string> extends Pick<EntriesProps<Key>, 'before' | 'after' | 'placeholders'> {
  form: { panel: Panel<Key>; typed: Typed<Key>; change: EntriesProps<Key>['change']; reader: Reader }
  saving: Pick<ReturnType<typeof useSaving>, 'faults' | 'message'> & { busy: boolean; at?: number }
  onSave: () => void
  /** What the button says that saves it, and by which mark it is found. */
  save: string
  mark?: string
  quiet?: boolean
  /** Not yet: something that must be there is not. */
  unfinished?: boolean
  onCancel?: () => void
  className?: string
  /** What stands above the buttons besides. */
  children?: ReactNode
}

/** A form of one panel: its entries, what is wrong with them, and its buttons. */
export function Form<Key extends string>(props: Props<Key>) {
  const { form, saving, onSave, save, mark, quiet, unfinished, onCancel, className, children } = props
  const [sent, setSent] = useState({ at: saving.at, typed: form.typed })
  if (saving.at !== sent.at) setSent({ at: saving.at, typed: form.typed })
  // What was changed since is for the server to look at again: it is not told as wrong any more.
  const mended = form.panel.entries.filter((e) => form.typed[e.of] !== sent.typed[e.of]).map(pathOf)
  const still = Object.entries(saving.faults).filter(([path]) => !mended.includes(path))
  const faults: Record<string, string> = { ...Object.fromEntries(still), ...form.reader.faults }
  const message = Object.keys(saving.faults).length > 0 && still.length === 0 ? undefined : saving.message
  return (
    <Faults value={faults}>
      <form className={className} data-form={mark} onSubmit={onSent(onSave)}>
        {form.panel.title && <h2>{form.panel.title}</h2>}
        <Entries of={form.panel} {...props} typed={form.typed} change={form.change} />
        {children}
        <Said message={atFields(form.panel, form.typed, faults) ? undefined : message} />
        <div className={`${page.bar} ${styles.buttons}`}>
          <Press
            submit
            outlined
            main={!quiet}
            says={save}
            off={saving.busy || !form.reader.readable || unfinished}
            data-save-form={mark}
          />
          {onCancel && <Press says={text.cancel} onPress={onCancel} />}
        </div>
      </form>
    </Faults>
  )
}
