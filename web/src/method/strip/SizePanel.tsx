import { Choice } from '../../kit/Choice'
import { Figures } from '../../kit/Figures'
import { FaultLine, Field } from '../../kit/Field'
import { Section } from '../../kit/Section'
import { useVolumeUnit } from '../../kit/units'
import type { Change } from '../draft'
import { nameIn } from '../text'
import type { StripDraft } from './draft'
import { text } from './text'

interface Props {
  draft: StripDraft
  change: Change<StripDraft>
}

/** The one or two figures that each way of sizing a pot needs. */
const FIGURES = {
  colonies: [],
  count: [
    ['colonies', 'size.colonies', text.colonies, ''],
    ['each', 'size.each', text.eachColony, ''],
  ],
  strips: [['strips', 'size.strips', text.strips, '']],
  volume: [['volume', 'size.volume_ml', text.volume, 'volume']],
  acid: [['acid', 'size.acid_g', text.acid, 'g']],
  glycerol: [['glycerol', 'size.glycerol_ml', text.glycerolHand, 'volume']],
  times: [['times', 'size.times', text.times, '']],
} as const

/** What settles how much is cooked. */
export function SizePanel({ draft, change }: Props) {
  const { size } = draft
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
      {FIGURES[size.by].map(([key, path, label, unit]) => (
        <Field
          key={key}
          label={label}
          unit={unit === 'volume' ? millilitres : unit}
          path={path}
          value={size[key]}
          onChange={(v) => change((d) => void (d.size[key] = v))}
        />
      ))}
      <FaultLine path="size" />
    </Section>
  )
}

/** The tray, the jig and the pot: folded away. */
export function VesselPanel({ draft, change }: Props) {
  const millilitres = useVolumeUnit()
  return (
    <Section title={text.vessel} folded>
      <Field
        label={text.stays}
        unit={millilitres}
        path="stays_ml"
        value={draft.stays}
        onChange={(v) => change((d) => void (d.stays = v))}
      />
      <Field
        label={text.headroom}
        unit="%"
        path="headroom_percent"
        value={draft.headroom}
        onChange={(v) => change((d) => void (d.headroom = v))}
      />
      <Figures
        part={draft.jig}
        set={(key, v) => change((d) => void (d.jig[key] = v))}
        rows={[
          { of: 'slots', label: text.slots, path: 'jig.slots', placeholder: text.noJig },
          { of: 'most', label: text.mostInSlot, path: 'jig.most', placeholder: text.noLimit },
        ]}
      />
    </Section>
  )
}

export function Prices({ draft, change }: Props) {
  const { prices } = draft
  return (
    <>
      <Figures
        part={prices}
        set={(key, v) => change((d) => void (d.prices[key] = v))}
        rows={[
          { of: 'acid', label: text.priceAcid, path: 'prices.acid_kg' },
          { of: 'glycerol', label: text.priceGlycerol, path: 'prices.glycerol_l' },
          { of: 'strip', label: text.priceStrip, path: 'prices.strip' },
        ]}
      />
    </>
  )
}
