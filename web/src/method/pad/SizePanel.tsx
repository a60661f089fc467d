import { Choice } from '../../kit/Choice'
import { Figures } from '../../kit/Figures'
import { Field } from '../../kit/Field'
import { Section } from '../../kit/Section'
import { useVolumeUnit } from '../../kit/units'
import type { Change } from '../draft'
import { nameIn } from '../text'
import type { PadDraft } from './draft'
import { text } from './text'

interface Props {
  draft: PadDraft
  change: Change<PadDraft>
}

/** What settles how much is let down. */
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
      {size.by === 'working' && (
        <Field
          label={text.workingML}
          unit={millilitres}
          path="size.working_ml"
          value={size.working}
          onChange={(v) => change((d) => void (d.size.working = v))}
        />
      )}
      {size.by === 'stock' && (
        <Field
          label={text.stockML}
          unit={millilitres}
          path="size.stock_ml"
          value={size.stock}
          onChange={(v) => change((d) => void (d.size.stock = v))}
        />
      )}
      {size.by === 'water' && (
        <Field
          label={text.waterG}
          unit="g"
          path="size.water_g"
          value={size.water}
          onChange={(v) => change((d) => void (d.size.water = v))}
        />
      )}
      {(size.by === 'visit' || size.by === 'course') && (
        <Field
          label={text.reserve}
          unit="%"
          path="size.reserve_percent"
          value={size.reserve}
          onChange={(v) => change((d) => void (d.size.reserve = v))}
        />
      )}
    </Section>
  )
}

/** The hives drawn, or so many alike. */
export function HivesPanel({ draft, change }: Props) {
  const { mean } = draft
  return (
    <Section title={text.hives} brief={nameIn(text.hivesBy, draft.hives)}>
      <Choice
        label={text.hives}
        value={draft.hives}
        options={text.hivesBy}
        onChange={(hives) => change((d) => void (d.hives = hives))}
      />
      {draft.hives === 'counted' && (
        <>
          <Figures
            part={mean}
            set={(key, v) => change((d) => void (d.mean[key] = v))}
            rows={[
              { of: 'colonies', label: text.colonies, path: 'mean.colonies' },
              { of: 'combs', label: text.combs, path: 'mean.combs' },
              { of: 'boxes', label: text.boxes, path: 'mean.boxes' },
            ]}
          />
        </>
      )}
    </Section>
  )
}

/** What takes the acid up: folded away. */
export function SheetPanel({ draft, change }: Props) {
  const { sheet } = draft
  return (
    <Section title={text.sheet} folded>
      <Figures
        part={sheet}
        set={(key, v) => change((d) => void (d.sheet[key] = v))}
        rows={[
          { of: 'takes', label: text.takes, unit: 'mL', path: 'sheet.takes_ml', placeholder: text.notSaid },
          { of: 'width', label: text.width, unit: 'cm', path: 'sheet.width_cm' },
          { of: 'length', label: text.length, unit: 'cm', path: 'sheet.length_cm' },
        ]}
      />
    </Section>
  )
}

export function Buying({ draft, change }: Props) {
  const millilitres = useVolumeUnit()
  const ready = draft.hold.kind === 'ready_pads'
  return (
    <>
      {!ready && (
        <Field
          label={text.bottle}
          unit={millilitres}
          path="bottle_ml"
          value={draft.bottle}
          onChange={(v) => change((d) => void (d.bottle = v))}
        />
      )}
      <Field
        label={ready ? text.pricePad : text.priceStock}
        path="prices.stock"
        value={draft.price}
        onChange={(v) => change((d) => void (d.price = v))}
      />
    </>
  )
}
