import { Choice } from '../../../parts/Choice'
import { FaultLine, Field } from '../../../parts/Field'
import { Section } from '../../../parts/Section'
import { useUnits } from '../../../units/units'
import type { Change } from '../draft'
import type { DribbleDraft } from './draft'
import { nameIn } from '../text'
import { text } from './text'

/** What settles how much is made. */
export function SizePanel({ draft, change }: { draft: DribbleDraft; change: Change<DribbleDraft> }) {
  const { size, mean } = draft
  const us = useUnits().system === 'us'
  return (
    <Section title={text.sizedBy} brief={nameIn(text.sizes, size.by)}>
      <Choice
        label={text.sizedBy}
        value={size.by}
        options={text.sizes}
        path="size.by"
        onChange={(by) => change((d) => void (d.size.by = by))}
      />
      {size.by === 'count' && (
        <>
          <Field
            label={text.meanSeams}
            path="mean.seams"
            value={mean.seams}
            onChange={(v) => change((d) => void (d.mean.seams = v))}
          />
          <Field
            label={text.meanColonies}
            path="mean.colonies"
            value={mean.colonies}
            onChange={(v) => change((d) => void (d.mean.colonies = v))}
          />
        </>
      )}
      {size.by === 'colonies' && (
        <Field
          label={text.colonies}
          path="size.colonies"
          value={size.colonies}
          onChange={(v) => change((d) => void (d.size.colonies = v))}
        />
      )}
      {size.by === 'volume' && (
        <Field
          label={text.volume}
          unit={us ? 'fl oz' : 'mL'}
          path="size.volume_ml"
          value={size.volume}
          onChange={(v) => change((d) => void (d.size.volume = v))}
        />
      )}
      {(size.by === 'boards' || size.by === 'count') && (
        <Field
          label={text.reserve}
          unit="%"
          path="size.reserve_percent"
          value={size.reserve}
          onChange={(v) => change((d) => void (d.size.reserve = v))}
        />
      )}
      <FaultLine path="hold" />
    </Section>
  )
}
