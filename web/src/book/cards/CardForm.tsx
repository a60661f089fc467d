import { produce } from 'immer'
import { client, data } from '../../api/client'
import { Entries, Faults, onSent, type Panel, Press, Said, stale, useKept, useSaving, ways } from '../../kit'
import { LabelRows } from '../../method/dribble/LabelRows'
import page from '../../kit/page.module.css'
import { text } from './text'
import { panelsOf, partOf, read, typed, type Card, type Typed } from './typed'

/** A label, copied field by field. */
export function CardForm({ card, onClose }: { card: Card; onClose: () => void }) {
  const isNew = !card.version
  const part = partOf(card.content)
  const form = useKept(`card.${isNew ? part : card.id}.${ways().units}`, () => typed(card))
  const v = form.value
  const change = (recipe: (t: Typed) => void) => form.set(produce(v, recipe))
  const { name, content, faults } = read(v, card)
  const panels = panelsOf(card)
  const saving = useSaving(
    async () => {
      const body = {
        id: card.id,
        name,
        method: card.method,
        version: card.version,
        content,
      }
      return isNew
        ? data(client.POST('/api/cards', { body }))
        : data(client.PUT('/api/cards/{id}', { params: { path: { id: card.id } }, body }))
    },
    () => {
      form.putDown()
      stale('cards', 'decide')
      onClose()
    },
  )
  const ask = (panel: Panel<string>) => (
    <>
      {panel.title && <h2>{panel.title}</h2>}
      <Entries of={panel} typed={v.asked} change={(recipe) => change((t) => recipe(t.asked))} />
    </>
  )
  return (
    <Faults value={{ ...saving.faults, ...faults }}>
      <form className={page.form} data-card-form onSubmit={onSent(() => saving.save())}>
        {ask(panels.named)}
        {ask(panels.dose)}
        {part === 'rule' && (
          <div>
            <p className="quiet">{text.table}</p>
            <LabelRows
              rows={v.rows}
              path="content.dribble.rows"
              edit={(recipe) => change((t) => recipe(t.rows))}
            />
          </div>
        )}
        {ask(panels.conditions)}
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
    </Faults>
  )
}
