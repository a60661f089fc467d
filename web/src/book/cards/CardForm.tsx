import { produce } from 'immer'
import { client, data } from '../../api/client'
import { Entries, Faults, Field, onSent, type Panel, Press, Said, stale, useKept, useSaving } from '../../kit'
import page from '../../kit/page.module.css'
import { text } from './text'
import { panelsOf, partOf, read, typed, type Card, type Typed } from './typed'

/** A label, copied field by field. */
export function CardForm({ card, onClose }: { card: Card; onClose: () => void }) {
  const isNew = !card.version
  const part = partOf(card.content)
  const form = useKept(`card.${isNew ? part : card.id}`, () => typed(card))
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
      stale('cards')
      stale('decide')
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
        {part === 'rule' && <Table v={v} change={change} />}
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

/** The label's own table: so many mL up to so many bees. */
function Table({ v, change }: { v: Typed; change: (recipe: (t: Typed) => void) => void }) {
  return (
    <div>
      <p className="quiet">{text.table}</p>
      {v.rows.map((row, i) => (
        <div key={i} className={page.two}>
          <Field
            label={text.tableBees}
            path={`content.dribble.rows[${i}].up_to_bees`}
            value={row.bees}
            onChange={(x) => change((t) => void (t.rows[i]!.bees = x))}
          />
          <Field
            label=""
            unit="mL"
            path={`content.dribble.rows[${i}].dose_ml`}
            value={row.ml}
            onChange={(x) => change((t) => void (t.rows[i]!.ml = x))}
          />
        </div>
      ))}
      {v.rows.length > 0 && <p className="quiet">{text.tableHint}</p>}
      <Press
        small
        says={text.tableRow}
        onPress={() => change((t) => void t.rows.push({ bees: '', ml: '' }))}
      />
    </div>
  )
}
