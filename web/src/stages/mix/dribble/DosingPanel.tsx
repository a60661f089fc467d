import { Field } from '../../../parts/Field'
import { Section } from '../../../parts/Section'
import { useUnits } from '../../../units/units'
import type { Change } from '../draft'
import type { DribbleDraft } from './draft'
import { text } from './text'

/** The dose rule, folded away: most keepers leave it as it is. */
export function DosingPanel({ draft, change }: { draft: DribbleDraft; change: Change<DribbleDraft> }) {
  const { dosing } = draft
  return (
    <Section title={text.dosing} folded>
      <Field
        label={text.perSeam}
        unit="mL"
        path="rule.full_seam_ml"
        value={dosing.perSeam}
        onChange={(v) => change((d) => void (d.dosing.perSeam = v))}
      />
      <Field
        label={text.cap}
        unit="mL"
        path="rule.cap_ml"
        value={dosing.cap}
        onChange={(v) => change((d) => void (d.dosing.cap = v))}
      />
      <Field
        label={text.flat}
        unit="mL"
        path="rule.flat_ml"
        placeholder={text.bySeam}
        value={dosing.flat}
        onChange={(v) => change((d) => void (d.dosing.flat = v))}
      />
      <Field
        label={text.nucFlat}
        unit="mL"
        path="rule.nuc_flat_ml"
        placeholder={text.bySeam}
        hint={text.flatHint}
        value={dosing.nucFlat}
        onChange={(v) => change((d) => void (d.dosing.nucFlat = v))}
      />
    </Section>
  )
}

/** Where the syrup is kept and used, and what its parts cost. */
export function KeepingFields({ draft, change }: { draft: DribbleDraft; change: Change<DribbleDraft> }) {
  const { prices, hold } = draft
  const degrees = useUnits().system === 'us' ? '°F' : '°C'
  return (
    <>
      <Field
        label={text.fridge}
        unit={degrees}
        path="fridge_c"
        value={draft.fridge}
        onChange={(v) => change((d) => void (d.fridge = v))}
      />
      <Field
        label={text.yard}
        unit={degrees}
        path="yard_c"
        value={draft.yard}
        onChange={(v) => change((d) => void (d.yard = v))}
      />
      <Field
        label={text.priceOf[hold.kind]}
        path="prices.hold"
        value={prices.hold}
        onChange={(v) => change((d) => void (d.prices.hold = v))}
      />
      <Field
        label={text.priceSugar}
        path="prices.sugar_kg"
        value={prices.sugar}
        onChange={(v) => change((d) => void (d.prices.sugar = v))}
      />
    </>
  )
}
