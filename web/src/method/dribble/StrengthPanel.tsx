import NativeSelect from '@mui/material/NativeSelect'
import { Choice } from '../../kit/Choice'
import { FaultLine, Field } from '../../kit/Field'
import { Section } from '../../kit/Section'
import type { Change } from '../draft'
import type { DribbleDraft, StrengthForm } from './draft'
import { nameIn } from '../text'
import { text } from './text'

/** How strong: a protocol from the ladder, the packet's own label, or a free value. */
export function StrengthPanel({ draft, change }: { draft: DribbleDraft; change: Change<DribbleDraft> }) {
  const { aim, hold } = draft
  const options = text.aims.filter(([by]) => by !== 'packet' || hold.kind === 'packet')
  return (
    <Section
      title={text.strength}
      brief={aim.by === 'protocol' ? text.protocolNames[aim.protocol] : nameIn(text.aims, aim.by)}
    >
      <Choice
        label={text.strength}
        columns={options.length}
        value={aim.by}
        options={options}
        path="strength.by"
        onChange={(by) => change((d) => void (d.aim.by = by))}
      />
      <FaultLine path="strength.protocol" />
      {aim.by === 'value' && (
        <>
          <Field
            label={text.value}
            path="strength.value"
            value={aim.value}
            onChange={(v) => change((d) => void (d.aim.value = v))}
          />
          <NativeSelect
            fullWidth
            value={aim.form}
            inputProps={{ 'aria-label': text.form }}
            onChange={(e) => change((d) => void (d.aim.form = e.target.value as StrengthForm))}
          >
            {text.forms.map(([form, name]) => (
              <option key={form} value={form}>
                {name}
              </option>
            ))}
          </NativeSelect>
          <Choice
            label={text.basis}
            value={aim.basis}
            options={text.bases}
            path="strength.basis"
            onChange={(basis) => change((d) => void (d.aim.basis = basis))}
          />
        </>
      )}
      {hold.kind !== 'ready_mix' && (
        <Field
          label={text.ratio}
          path="sugar_per_water"
          placeholder={text.usual}
          value={draft.ratio}
          onChange={(v) => change((d) => void (d.ratio = v))}
        />
      )}
    </Section>
  )
}
