import { Choice } from '../../../parts/Choice'
import { FaultLine, Field } from '../../../parts/Field'
import { Section } from '../../../parts/Section'
import { useUnits } from '../../../units/units'
import type { Change } from '../draft'
import { nameIn } from '../text'
import type { StripDraft } from './draft'
import { text } from './text'

interface Props {
  draft: StripDraft
  change: Change<StripDraft>
}

/** Acid to glycerol: a school, or one's own; and how strong the glycerol is. */
export function RecipePanel({ draft, change }: Props) {
  const { recipe } = draft
  const degrees = useUnits().system === 'us' ? '°F' : '°C'
  const chosen = recipe.by === 'own' ? 'own' : recipe.school
  return (
    <Section title={text.recipe} brief={nameIn(text.recipes, chosen)}>
      <Choice
        label={text.recipe}
        value={chosen as (typeof text.recipes)[number][0]}
        options={text.recipes}
        columns={3}
        path="recipe.school"
        onChange={(key) =>
          change((d) => {
            d.recipe.by = key === 'own' ? 'own' : 'school'
            if (key !== 'own') d.recipe.school = key
          })
        }
      />
      {recipe.by === 'own' && (
        <>
          <Field
            label={text.oad}
            unit="g"
            path="recipe.oad_g"
            value={recipe.oad}
            onChange={(v) => change((d) => void (d.recipe.oad = v))}
          />
          <Field
            label={text.ownGlycerol}
            unit={recipe.per === 'ml' ? 'mL' : 'g'}
            path={recipe.per === 'ml' ? 'recipe.glycerol_ml' : 'recipe.glycerol_g'}
            value={recipe.glycerol}
            onChange={(v) => change((d) => void (d.recipe.glycerol = v))}
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
      <Field
        label={text.warmTo}
        unit={degrees}
        path="warm_to_c"
        hint={text.warmHint}
        value={draft.warmTo}
        onChange={(v) => change((d) => void (d.warmTo = v))}
      />
    </Section>
  )
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
        onChange={(c) =>
          change((d) => {
            if (c === 'sponge' && d.carrier !== 'sponge') Object.assign(d.number, { by: 'box', each: '2' })
            if (c !== 'sponge' && d.carrier === 'sponge') d.number.by = 'bees'
            d.carrier = c
          })
        }
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
        columns={3}
        path="number.by"
        onChange={(by) => change((d) => void (d.number.by = by))}
      />
      {number.by === 'bees' ? (
        <>
          <Field
            label={text.frames}
            path="number.frames"
            value={number.frames}
            onChange={(v) => change((d) => void (d.number.frames = v))}
          />
          <Field
            label={text.most}
            path="number.most_per_box"
            value={number.most}
            onChange={(v) => change((d) => void (d.number.most = v))}
          />
        </>
      ) : (
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
      {FIGURES[size.by].map(([key, path, label, unit]) => (
        <Field
          key={key}
          label={label}
          unit={unit === 'volume' ? (us ? 'fl oz' : 'mL') : unit}
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
  const us = useUnits().system === 'us'
  return (
    <Section title={text.vessel} folded>
      <Field
        label={text.stays}
        unit={us ? 'fl oz' : 'mL'}
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
      <Field
        label={text.slots}
        path="jig.slots"
        placeholder={text.noJig}
        value={draft.jig.slots}
        onChange={(v) => change((d) => void (d.jig.slots = v))}
      />
      <Field
        label={text.mostInSlot}
        path="jig.most"
        placeholder={text.noLimit}
        value={draft.jig.most}
        onChange={(v) => change((d) => void (d.jig.most = v))}
      />
    </Section>
  )
}

export function Prices({ draft, change }: Props) {
  const { prices } = draft
  return (
    <>
      <Field
        label={text.priceAcid}
        path="prices.acid_kg"
        value={prices.acid}
        onChange={(v) => change((d) => void (d.prices.acid = v))}
      />
      <Field
        label={text.priceGlycerol}
        path="prices.glycerol_l"
        value={prices.glycerol}
        onChange={(v) => change((d) => void (d.prices.glycerol = v))}
      />
      <Field
        label={text.priceStrip}
        path="prices.strip"
        value={prices.strip}
        onChange={(v) => change((d) => void (d.prices.strip = v))}
      />
    </>
  )
}
