import { Choice } from '../../kit/Choice'
import { Figures } from '../../kit/Figures'
import { Field } from '../../kit/Field'
import { Section } from '../../kit/Section'
import { temperature } from '../../kit/format'
import { useUnits } from '../../kit/units'
import type { Change } from '../draft'
import { nameIn, powder } from '../text'
import type { StripDraft } from './draft'
import { text } from './text'

interface Props {
  draft: StripDraft
  change: Change<StripDraft>
}

/** Acid to glycerol: a protocol, or one's own; and how strong the glycerol is. */
export function RecipePanel({ draft, change }: Props) {
  const { recipe } = draft
  const { system } = useUnits()
  const chosen = recipe.by === 'own' ? 'own' : recipe.protocol
  return (
    <Section title={text.recipe} brief={nameIn(text.recipes, chosen)}>
      <Choice
        label={text.recipe}
        value={chosen as (typeof text.recipes)[number][0]}
        options={text.recipes}
        columns={3}
        path="recipe.protocol"
        onChange={(key) =>
          change((d) => {
            d.recipe.by = key === 'own' ? 'own' : 'protocol'
            if (key !== 'own') d.recipe.protocol = key
          })
        }
      />
      {recipe.by === 'own' && (
        <>
          <Figures
            part={recipe}
            set={(key, v) => change((d) => void (d.recipe[key] = v))}
            rows={[
              { of: 'oad', label: text.oad, unit: 'g', path: 'recipe.oad_g' },
              {
                of: 'glycerol',
                label: text.ownGlycerol,
                unit: recipe.per === 'ml' ? 'mL' : 'g',
                path: recipe.per === 'ml' ? 'recipe.glycerol_ml' : 'recipe.glycerol_g',
              },
            ]}
          />
          <Choice
            label={text.per}
            value={recipe.per}
            options={text.pers}
            onChange={(per) => change((d) => void (d.recipe.per = per))}
          />
        </>
      )}
      <Field
        label={text.glycerol}
        unit="%"
        path="glycerol_percent"
        value={draft.glycerol}
        onChange={(v) => change((d) => void (d.glycerol = v))}
      />
      <Choice
        label={powder.powderBasis}
        value={draft.anhydrous ? 'anhydrous' : ''}
        options={powder.powderBases}
        path="acid_basis"
        onChange={(v) => change((d) => void (d.anhydrous = v === 'anhydrous'))}
      />
      {draft.anhydrous && <p className="quiet">{powder.anhydrousHint}</p>}
      <Field
        label={text.warmTo}
        unit={system === 'us' ? '°F' : '°C'}
        path="warm_to_c"
        hint={text.warmHint((c) => temperature(c, system))}
        value={draft.warmTo}
        onChange={(v) => change((d) => void (d.warmTo = v))}
      />
    </Section>
  )
}
