import { Choice } from '../../kit/Choice'
import { Figures } from '../../kit/Figures'
import { Field } from '../../kit/Field'
import { Section } from '../../kit/Section'
import { fixed } from '../../kit/format'
import type { Change } from '../draft'
import type { PadDraft } from './draft'
import { usePadProtocol } from './protocols'
import { text } from './text'

interface Props {
  draft: PadDraft
  change: Change<PadDraft>
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

/** How much a colony gets, by a protocol or one's own; and the course of visits. */
export function AmountPanel({ draft, change }: Props) {
  const { amount } = draft
  const protocol = usePadProtocol(amount.by)
  const usual = (v: number | undefined) => (v === undefined ? text.once : fixed(v, 0))
  return (
    <Section title={text.amount} brief={text.protocolNames[amount.by]}>
      <Choice
        label={text.amount}
        value={amount.by as (typeof text.amounts)[number][0]}
        options={text.amounts}
        path="amount.protocol"
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
          <Figures
            part={amount}
            set={(key, v) => change((d) => void (d.amount[key] = v))}
            rows={[
              { of: 'ml', label: text.ml, unit: 'mL', path: 'amount.ml' },
              { of: 'at', label: text.at, unit: '%', path: 'amount.at_percent', placeholder: text.asUsed },
            ]}
          />
          <Choice
            label={text.from}
            value={amount.from}
            options={text.froms}
            path="amount.from"
            onChange={(from) => change((d) => void (d.amount.from = from))}
          />
          <Figures
            part={amount}
            set={(key, v) => change((d) => void (d.amount[key] = v))}
            rows={[
              { of: 'nuc', label: text.nuc, unit: 'mL', path: 'amount.nuc_ml', placeholder: text.byCombs },
              { of: 'cap', label: text.cap, unit: 'mL', path: 'amount.cap_ml', placeholder: text.noCap },
            ]}
          />
        </>
      )}
      <Figures
        part={amount}
        set={(key, v) => change((d) => void (d.amount[key] = v))}
        rows={[
          { of: 'visits', label: text.visits, path: 'amount.visits', placeholder: usual(protocol?.visits) },
          {
            of: 'apart',
            label: text.apart,
            path: 'amount.days_apart',
            placeholder: protocol ? usual(protocol.days_apart) : '',
          },
        ]}
      />
    </Section>
  )
}
