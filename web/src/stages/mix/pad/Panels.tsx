import { useQuery } from '@tanstack/react-query'
import { client } from '../../../api/client'
import { Choice } from '../../../parts/Choice'
import { Field } from '../../../parts/Field'
import { Section } from '../../../parts/Section'
import { fixed } from '../../../units/format'
import { useUnits } from '../../../units/units'
import type { Change } from '../draft'
import { nameIn } from '../text'
import type { PadDraft } from './draft'
import { text } from './text'

interface Props {
  draft: PadDraft
  change: Change<PadDraft>
}

const useMillilitres = () => (useUnits().system === 'us' ? 'fl oz' : 'mL')

/** Acid of a strength, by its label or its density; or ready pads by their card. */
export function HoldPanel({ draft, change }: Props) {
  const { hold } = draft
  const millilitres = useMillilitres()
  return (
    <Section title={text.hold} brief={nameIn(text.holdKinds, hold.kind)}>
      <Choice
        label={text.hold}
        value={hold.kind}
        options={text.holdKinds}
        path="hold.kind"
        onChange={(kind) => change((d) => void (d.hold.kind = kind))}
      />
      {hold.kind === 'ready_pads' ? (
        <CardFields draft={draft} change={change} />
      ) : (
        <>
          <Choice
            label={text.strengthBy}
            value={hold.by}
            options={text.strengthBys}
            onChange={(by) => change((d) => void (d.hold.by = by))}
          />
          {hold.by === 'label' ? (
            <Field
              label={text.percent}
              unit="%"
              path="hold.percent"
              value={hold.percent}
              onChange={(v) => change((d) => void (d.hold.percent = v))}
            />
          ) : (
            <ReadingFields draft={draft} change={change} />
          )}
          <Field
            label={text.inHand}
            unit={millilitres}
            path="hold.volume_ml"
            placeholder={text.notSaid}
            value={hold.volume}
            onChange={(v) => change((d) => void (d.hold.volume = v))}
          />
        </>
      )}
    </Section>
  )
}

function ReadingFields({ draft, change }: Props) {
  const { reading } = draft.hold
  const degrees = useUnits().system === 'us' ? '°F' : '°C'
  return (
    <>
      <Field
        label={text.density}
        unit="g/mL"
        path="hold.reading.g_per_ml"
        value={reading.density}
        onChange={(v) => change((d) => void (d.hold.reading.density = v))}
      />
      <Field
        label={text.temp}
        unit={degrees}
        path="hold.reading.temp_c"
        value={reading.temp}
        onChange={(v) => change((d) => void (d.hold.reading.temp = v))}
      />
      <Field
        label={text.off}
        unit="g/mL"
        path="hold.reading.off_g_per_ml"
        value={reading.off}
        onChange={(v) => change((d) => void (d.hold.reading.off = v))}
      />
      <Field
        label={text.tempOff}
        unit="°C"
        path="hold.reading.temp_off_c"
        value={reading.tempOff}
        onChange={(v) => change((d) => void (d.hold.reading.tempOff = v))}
      />
    </>
  )
}

function CardFields({ draft, change }: Props) {
  const { card, count } = draft.hold
  return (
    <>
      <Field
        text
        label={text.cardName}
        value={card.name}
        onChange={(v) => change((d) => void (d.hold.card.name = v))}
      />
      <Field
        label={text.cardFormic}
        unit="g"
        path="hold.card.formic_g"
        value={card.formic}
        onChange={(v) => change((d) => void (d.hold.card.formic = v))}
      />
      <Field
        label={text.cardEach}
        path="hold.card.each"
        value={card.each}
        onChange={(v) => change((d) => void (d.hold.card.each = v))}
      />
      <Choice
        label={text.cardPer}
        value={card.per}
        options={text.cardPers}
        path="hold.card.per"
        onChange={(per) => change((d) => void (d.hold.card.per = per))}
      />
      <Choice
        label={text.from}
        value={card.from}
        options={text.froms}
        path="hold.card.from"
        onChange={(from) => change((d) => void (d.hold.card.from = from))}
      />
      <Field
        label={text.cardNuc}
        path="hold.card.nuc_each"
        placeholder={text.notSaid}
        value={card.nuc}
        onChange={(v) => change((d) => void (d.hold.card.nuc = v))}
      />
      <Field
        label={text.visits}
        path="hold.card.visits"
        value={card.visits}
        onChange={(v) => change((d) => void (d.hold.card.visits = v))}
      />
      <Field
        label={text.apart}
        path="hold.card.days_apart"
        value={card.apart}
        onChange={(v) => change((d) => void (d.hold.card.apart = v))}
      />
      <Field
        label={text.cardCount}
        path="hold.count"
        placeholder={text.notSaid}
        value={count}
        onChange={(v) => change((d) => void (d.hold.count = v))}
      />
    </>
  )
}

/** The strength that the acid is used at. */
export function WorkingPanel({ draft, change }: Props) {
  return (
    <Section title={text.working} brief={draft.working && `${draft.working} %`}>
      <Field
        label={text.workingPercent}
        unit="%"
        path="working_percent"
        value={draft.working}
        onChange={(v) => change((d) => void (d.working = v))}
      />
    </Section>
  )
}

/** How much a colony gets, by a school or one's own; and the course of visits. */
export function AmountPanel({ draft, change }: Props) {
  const { amount } = draft
  const schools = useQuery({
    queryKey: ['schools', 'pad'],
    queryFn: async ({ signal }) => (await client.GET('/api/pad/schools', { signal })).data,
    staleTime: Infinity,
  })
  const school = schools.data?.find((s) => s.id === amount.by)
  const usual = (v: number | undefined) => (v === undefined ? text.once : fixed(v, 0))
  return (
    <Section title={text.amount} brief={text.schoolNames[amount.by]}>
      <Choice
        label={text.amount}
        value={amount.by as (typeof text.amounts)[number][0]}
        options={text.amounts}
        path="amount.school"
        onChange={(by) => change((d) => void (d.amount.by = by))}
      />
      {amount.by === 'own' && (
        <>
          <Choice
            label={text.per}
            value={amount.per}
            options={text.pers}
            columns={3}
            path="amount.per"
            onChange={(per) => change((d) => void (d.amount.per = per))}
          />
          <Field
            label={text.ml}
            unit="mL"
            path="amount.ml"
            value={amount.ml}
            onChange={(v) => change((d) => void (d.amount.ml = v))}
          />
          <Field
            label={text.at}
            unit="%"
            path="amount.at_percent"
            placeholder={text.asUsed}
            value={amount.at}
            onChange={(v) => change((d) => void (d.amount.at = v))}
          />
          <Choice
            label={text.from}
            value={amount.from}
            options={text.froms}
            path="amount.from"
            onChange={(from) => change((d) => void (d.amount.from = from))}
          />
          <Field
            label={text.nuc}
            unit="mL"
            path="amount.nuc_ml"
            placeholder={text.byCombs}
            value={amount.nuc}
            onChange={(v) => change((d) => void (d.amount.nuc = v))}
          />
          <Field
            label={text.cap}
            unit="mL"
            path="amount.cap_ml"
            placeholder={text.noCap}
            value={amount.cap}
            onChange={(v) => change((d) => void (d.amount.cap = v))}
          />
        </>
      )}
      <Field
        label={text.visits}
        path="amount.visits"
        placeholder={usual(school?.visits)}
        value={amount.visits}
        onChange={(v) => change((d) => void (d.amount.visits = v))}
      />
      <Field
        label={text.apart}
        path="amount.days_apart"
        placeholder={school ? usual(school.days_apart) : ''}
        value={amount.apart}
        onChange={(v) => change((d) => void (d.amount.apart = v))}
      />
    </Section>
  )
}

/** What settles how much is let down. */
export function SizePanel({ draft, change }: Props) {
  const { size } = draft
  const millilitres = useMillilitres()
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
          <Field
            label={text.colonies}
            path="mean.colonies"
            value={mean.colonies}
            onChange={(v) => change((d) => void (d.mean.colonies = v))}
          />
          <Field
            label={text.combs}
            path="mean.combs"
            value={mean.combs}
            onChange={(v) => change((d) => void (d.mean.combs = v))}
          />
          <Field
            label={text.boxes}
            path="mean.boxes"
            value={mean.boxes}
            onChange={(v) => change((d) => void (d.mean.boxes = v))}
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
      <Field
        label={text.takes}
        unit="mL"
        path="sheet.takes_ml"
        placeholder={text.notSaid}
        value={sheet.takes}
        onChange={(v) => change((d) => void (d.sheet.takes = v))}
      />
      <Field
        label={text.width}
        unit="cm"
        path="sheet.width_cm"
        value={sheet.width}
        onChange={(v) => change((d) => void (d.sheet.width = v))}
      />
      <Field
        label={text.length}
        unit="cm"
        path="sheet.length_cm"
        value={sheet.length}
        onChange={(v) => change((d) => void (d.sheet.length = v))}
      />
    </Section>
  )
}

export function Buying({ draft, change }: Props) {
  const millilitres = useMillilitres()
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
