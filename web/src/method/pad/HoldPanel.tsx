import { Choice } from '../../kit/Choice'
import { Figures } from '../../kit/Figures'
import { Field } from '../../kit/Field'
import { Section } from '../../kit/Section'
import { useUnits, useVolumeUnit } from '../../kit/units'
import type { Change } from '../draft'
import { nameIn } from '../text'
import type { PadDraft } from './draft'
import { text } from './text'

interface Props {
  draft: PadDraft
  change: Change<PadDraft>
}

/** Acid of a strength, by its label or its density; or ready pads by their card. */
export function HoldPanel({ draft, change }: Props) {
  const { hold } = draft
  const millilitres = useVolumeUnit()
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
      <Figures
        part={reading}
        set={(key, v) => change((d) => void (d.hold.reading[key] = v))}
        rows={[
          { of: 'density', label: text.density, unit: 'g/mL', path: 'hold.reading.g_per_ml' },
          { of: 'temp', label: text.temp, unit: degrees, path: 'hold.reading.temp_c' },
          { of: 'off', label: text.off, unit: 'g/mL', path: 'hold.reading.off_g_per_ml' },
          { of: 'tempOff', label: text.tempOff, unit: '°C', path: 'hold.reading.temp_off_c' },
        ]}
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
      <Figures
        part={card}
        set={(key, v) => change((d) => void (d.hold.card[key] = v))}
        rows={[
          { of: 'formic', label: text.cardFormic, unit: 'g', path: 'hold.card.formic_g' },
          { of: 'each', label: text.cardEach, path: 'hold.card.each' },
        ]}
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
      <Figures
        part={card}
        set={(key, v) => change((d) => void (d.hold.card[key] = v))}
        rows={[
          { of: 'nuc', label: text.cardNuc, path: 'hold.card.nuc_each', placeholder: text.notSaid },
          { of: 'visits', label: text.visits, path: 'hold.card.visits' },
          { of: 'apart', label: text.apart, path: 'hold.card.days_apart' },
        ]}
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
