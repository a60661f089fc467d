import { Choice } from '../../kit/Choice'
import { Figures } from '../../kit/Figures'
import { FaultLine, Field } from '../../kit/Field'
import { Section } from '../../kit/Section'
import { useVolumeUnit } from '../../kit/units'
import type { Change } from '../draft'
import type { DribbleDraft } from './draft'
import { nameIn } from '../text'
import { text } from './text'

/** What settles how much is made. */
export function SizePanel({ draft, change }: { draft: DribbleDraft; change: Change<DribbleDraft> }) {
  const { size, mean } = draft
  const millilitres = useVolumeUnit()
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
          <Figures
            part={mean}
            set={(key, v) => change((d) => void (d.mean[key] = v))}
            rows={[
              { of: 'seams', label: text.meanSeams, path: 'mean.seams' },
              { of: 'colonies', label: text.meanColonies, path: 'mean.colonies' },
            ]}
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
          unit={millilitres}
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
