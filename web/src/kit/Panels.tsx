import { Fragment, type ReactNode } from 'react'
import { Choice } from './Choice'
import { PickDay } from './PickDay'
import type { Edit } from './edit'
import { FaultLine, Field } from './Field'
import { degreeUnit, temperature } from './format'
import { Pick } from './Pick'
import styles from './Panels.module.css'
import { Section } from './Section'
import { Term } from './Term'
import { asked, optionsOf, pathOf, say, TICKED, WORDS, type Entry, type Panel, type Typed } from './entries'

export interface EntriesProps<Key extends string> {
  typed: Typed<Key>
  change: Edit<Typed<Key>>
  /** What stands besides above an entry, or below it. */
  before?: Partial<Record<Key, ReactNode>>
  after?: Partial<Record<Key, ReactNode>>
  /** What an empty field goes by, where that is known here only. */
  placeholders?: Partial<Record<Key, string>>
}

/** The panels of a form, each under its title. */
export function Panels<Key extends string>({
  of,
  ...form
}: EntriesProps<Key> & { of: readonly Panel<Key>[] }) {
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
        {p.term && <Term of={p.term} />}
        {p.faults?.map((path) => (
          <FaultLine key={path} path={path} />
        ))}
      </Section>
    ))
}

/** The entries of one panel, without its title. */
export function Entries<Key extends string>({ of, ...form }: EntriesProps<Key> & { of: Panel<Key> }) {
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
}: EntriesProps<Key> & { entry: Entry<Key> }) {
  const value = typed[e.of] ?? ''
  const label = say(e.label, typed) ?? ''
  const hint = e.hint?.(typed, (celsius) => temperature(celsius))
  const options = optionsOf(e, typed)
  const set = (v: string) =>
    change((t) => {
      t[e.of] = v
      e.also?.(t)
    })
  if (e.as === 'tick')
    return (
      <>
        <label className={styles.tick}>
          <input
            type="checkbox"
            checked={value === TICKED}
            onChange={(event) => set(event.target.checked ? TICKED : '')}
          />
          {label}
        </label>
        <FaultLine path={pathOf(e)} />
      </>
    )
  if (e.as === 'day')
    return <PickDay label={label} value={value} path={pathOf(e)} hint={hint} onChange={set} />
  if (!options)
    return (
      <Field
        text={e.as !== undefined && WORDS.has(e.as)}
        lines={e.as === 'lines'}
        secret={e.as === 'secret'}
        autoComplete={e.autoComplete}
        most={e.most}
        label={label}
        unit={unitOf(e, typed)}
        path={e.aside && !e.at ? undefined : pathOf(e)}
        placeholder={placeholders?.[e.of] ?? say(e.placeholder, typed)}
        hint={hint}
        value={value}
        onChange={set}
      />
    )
  return (
    <>
      {e.titled && <p className="quiet">{label}</p>}
      {e.list ? (
        <div className={styles.listed}>
          <span>{label}</span>
          <Pick label={label} value={value} options={options} onChange={set} />
          <FaultLine path={pathOf(e)} />
        </div>
      ) : (
        <Choice
          label={label}
          columns={e.columns ?? (Object.keys(options).length === 3 ? 3 : 2)}
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

function unitOf<Key extends string>(e: Entry<Key>, typed: Typed<Key>) {
  if (e.as === 'degrees' || e.as === 'apart') return degreeUnit()
  return say(e.unit, typed)
}

/** The name of what an entry has chosen. */
function chosen<Key extends string>(e: Entry<Key> | undefined, typed: Typed<Key>) {
  return e && optionsOf(e, typed)?.[typed[e.of] ?? '']
}
