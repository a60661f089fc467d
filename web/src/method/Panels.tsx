import NativeSelect from '@mui/material/NativeSelect'
import { Fragment, type ReactNode } from 'react'
import { Choice } from '../kit/Choice'
import type { Edit } from '../kit/edit'
import { FaultLine, Field } from '../kit/Field'
import { temperature } from '../kit/format'
import { Section } from '../kit/Section'
import { useUnits } from '../kit/units'
import { asked, optionsOf, pathOf, say, type Entry, type Panel, type Typed } from './form'
import { nameIn } from './text'

interface Props<Key extends string> {
  typed: Typed<Key>
  change: Edit<Typed<Key>>
  /** What stands besides above an entry, or below it. */
  before?: Partial<Record<Key, ReactNode>>
  after?: Partial<Record<Key, ReactNode>>
  /** What an empty field goes by, where that is known here only. */
  placeholders?: Partial<Record<Key, string>>
}

/** The panels of a form, each under its title. */
export function Panels<Key extends string>({ of, ...form }: Props<Key> & { of: readonly Panel<Key>[] }) {
  const { typed } = form
  return of
    .filter((p) => p.when?.(typed) ?? true)
    .map((p) => (
      <Section
        key={p.title}
        title={p.title}
        brief={p.brief ? p.brief(typed) : chosen(p.entries[0], typed)}
        folded={typeof p.folded === 'function' ? p.folded(typed) : p.folded}
      >
        <Entries of={p} {...form} />
        {p.faults?.map((path) => (
          <FaultLine key={path} path={path} />
        ))}
      </Section>
    ))
}

/** The entries of one panel, without its title. */
export function Entries<Key extends string>({ of, ...form }: Props<Key> & { of: Panel<Key> }) {
  const seen = asked([{ ...of, when: undefined }], form.typed).filter((e) => !e.unseen)
  return seen.map((e) => (
    <Fragment key={e.of}>
      {form.before?.[e.of]}
      <One entry={e} {...form} />
      {form.after?.[e.of]}
    </Fragment>
  ))
}

function One<Key extends string>({
  entry: e,
  typed,
  change,
  placeholders,
}: Props<Key> & { entry: Entry<Key> }) {
  const { system } = useUnits()
  const value = typed[e.of] ?? ''
  const label = say(e.label, typed) ?? ''
  const hint = e.hint?.(typed, (celsius) => temperature(celsius, system))
  const options = optionsOf(e, typed)
  const set = (v: string) =>
    change((t) => {
      t[e.of] = v
      e.also?.(t)
    })
  if (!options)
    return (
      <Field
        text={e.as === 'words'}
        label={label}
        unit={unitOf(e, typed, system === 'us')}
        path={e.aside && !e.at ? undefined : pathOf(e)}
        placeholder={placeholders?.[e.of] ?? say(e.placeholder, typed)}
        hint={hint}
        value={value}
        onChange={set}
      />
    )
  return (
    <>
      {e.list ? (
        <NativeSelect
          fullWidth
          value={value}
          inputProps={{ 'aria-label': label }}
          onChange={(event) => set(event.target.value)}
        >
          {options.map(([key, name]) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </NativeSelect>
      ) : (
        <Choice
          label={label}
          columns={options.length === 3 ? 3 : 2}
          value={value}
          options={options}
          path={e.aside ? undefined : pathOf(e)}
          onChange={set}
        />
      )}
      {hint && <p className="quiet">{hint}</p>}
    </>
  )
}

function unitOf<Key extends string>(e: Entry<Key>, typed: Typed<Key>, us: boolean) {
  if (e.as === 'volume') return us ? 'fl oz' : 'mL'
  if (e.as === 'degrees') return us ? '°F' : '°C'
  return say(e.unit, typed)
}

/** The name of what an entry has chosen. */
function chosen<Key extends string>(e: Entry<Key> | undefined, typed: Typed<Key>) {
  const options = e && optionsOf(e, typed)
  return options && nameIn(options, typed[e.of] ?? '')
}
