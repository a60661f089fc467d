import { Choice } from '../../../parts/Choice'
import { Figures } from '../../../parts/Figures'
import { Field } from '../../../parts/Field'
import { Section } from '../../../parts/Section'
import type { Change } from '../draft'
import { nameIn } from '../text'
import type { StripDraft } from './draft'
import { text } from './text'

interface Props {
  draft: StripDraft
  change: Change<StripDraft>
}

/** What the liquor is soaked into, and how much one piece takes up. */
export function CarrierPanel({ draft, change }: Props) {
  const { carrier } = draft
  const uptake = draft.uptake[carrier]
  return (
    <Section title={text.carrier} brief={nameIn(text.carriers, carrier)}>
      <Choice
        label={text.carrier}
        value={carrier}
        options={text.carriers}
        columns={3}
        path="carrier"
        onChange={(c) => change((d) => void (d.carrier = c))}
      />
      <Field
        label={text.uptake[carrier]}
        unit="g"
        path="uptake_g"
        hint={uptake === '' ? text.uptakeHint : undefined}
        value={uptake}
        onChange={(v) => change((d) => void (d.uptake[carrier] = v))}
      />
      {carrier === 'sponge' && (
        <Choice
          label={text.between}
          value={draft.between ? 'between' : 'each'}
          options={text.betweens}
          onChange={(v) => change((d) => void (d.between = v === 'between'))}
        />
      )}
    </Section>
  )
}

/** How many a colony gets. */
export function NumberPanel({ draft, change }: Props) {
  const { number } = draft
  return (
    <Section title={text.number} brief={nameIn(text.numbers, number.by)}>
      <Choice
        label={text.number}
        value={number.by}
        options={text.numbers}
        path="number.by"
        onChange={(by) => change((d) => void (d.number.by = by))}
      />
      {number.by === 'bees' && (
        <Figures
          part={number}
          set={(key, v) => change((d) => void (d.number[key] = v))}
          rows={[
            { of: 'frames', label: text.frames, path: 'number.frames' },
            { of: 'most', label: text.most, path: 'number.most_per_box' },
          ]}
        />
      )}
      {(number.by === 'box' || number.by === 'colony') && (
        <Field
          label={text.each[number.by]}
          path="number.each"
          value={number.each}
          onChange={(v) => change((d) => void (d.number.each = v))}
        />
      )}
    </Section>
  )
}
