import { produce } from 'immer'
import { client, data } from '../../api/client'
import { Faults, onSent, Press, Said, stale, useKept, useSaving, ways } from '../../kit'
import { LabelRows } from '../../method/dribble/LabelRows'
import page from '../../kit/page.module.css'
import styles from './CardForm.module.css'
import { LabelSheet } from './LabelSheet'
import { text } from './text'
import { Tried } from './Tried'
import { partOf, read, typed, type Card, type Typed } from './typed'

/** A label, copied field by field. */
export function CardForm({ card, onClose }: { card: Card; onClose: () => void }) {
  const isNew = !card.version
  const part = partOf(card.content)
  const form = useKept(`card.${isNew ? part : card.id}.${ways().units}`, () => typed(card))
  const v = form.value
  const change = (recipe: (t: Typed) => void) => form.set(produce(v, recipe))
  const { name, content, faults } = read(v, card)
  const body = { id: card.id, name, method: card.method, version: card.version, content }
  const saving = useSaving(
    () =>
      isNew
        ? data(client.POST('/api/cards', { body }))
        : data(client.PUT('/api/cards/{id}', { params: { path: { id: card.id } }, body })),
    () => {
      form.putDown()
      stale('cards', 'decide')
      onClose()
    },
  )
  return (
    <Faults value={{ ...saving.faults, ...faults }}>
      <div className={styles.beside}>
        <form className={styles.form} data-card-form onSubmit={onSent(() => saving.save())}>
          <LabelSheet
            card={card}
            typed={v.asked}
            change={(recipe) => change((t) => recipe(t.asked))}
            table={
              part === 'rule' && (
                <details open={v.rows.length > 0}>
                  <summary>{text.table}</summary>
                  <LabelRows
                    rows={v.rows}
                    path="content.dribble.rows"
                    edit={(recipe) => change((t) => recipe(t.rows))}
                  />
                </details>
              )
            }
          />
          <Said message={saving.stale ? text.stale : saving.message} />
          <div className={page.bar}>
            <Press submit main says={text.save} off={saving.busy || Object.keys(faults).length > 0} />
            <Press
              says={text.cancel}
              onPress={() => {
                form.putDown()
                onClose()
              }}
            />
          </div>
        </form>
        <Tried card={body} readable={Object.keys(faults).length === 0} />
      </div>
    </Faults>
  )
}
