import { Figures } from '../../kit/Figures'
import { Field } from '../../kit/Field'
import { Section } from '../../kit/Section'
import { useUnits } from '../../kit/units'
import type { Change } from '../draft'
import type { DribbleDraft } from './draft'
import { text } from './text'

/** The dose rule, folded away: most keepers leave it as it is. */
export function DosingPanel({ draft, change }: { draft: DribbleDraft; change: Change<DribbleDraft> }) {
  const { dosing } = draft
  return (
    <Section title={text.dosing} folded>
      <Figures
        part={dosing}
        set={(key, v) => change((d) => void (d.dosing[key] = v))}
        rows={[
          { of: 'perSeam', label: text.perSeam, unit: 'mL', path: 'rule.full_seam_ml' },
          { of: 'cap', label: text.cap, unit: 'mL', path: 'rule.cap_ml' },
          { of: 'flat', label: text.flat, unit: 'mL', path: 'rule.flat_ml', placeholder: text.bySeam },
          {
            of: 'nucFlat',
            label: text.nucFlat,
            unit: 'mL',
            path: 'rule.nuc_flat_ml',
            placeholder: text.bySeam,
            hint: text.flatHint,
          },
        ]}
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
      <Figures
        part={prices}
        set={(key, v) => change((d) => void (d.prices[key] = v))}
        rows={[
          { of: 'hold', label: text.priceOf[hold.kind], path: 'prices.hold' },
          { of: 'sugar', label: text.priceSugar, path: 'prices.sugar_kg' },
        ]}
      />
    </>
  )
}
