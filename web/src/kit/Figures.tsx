import { Field } from './Field'

export interface Figure<Key extends string> {
  /** The entry of the draft that holds what is typed. */
  of: Key
  label: string
  path: string
  unit?: string
  placeholder?: string
  hint?: string
}

interface Props<Key extends string> {
  /** The part of the draft that the figures are entries of. */
  part: Record<Key, string>
  set: (key: Key, typed: string) => void
  rows: readonly Figure<Key>[]
}

/** Several figures of one part of a draft, each on a line of its own. */
export function Figures<Key extends string>({ part, set, rows }: Props<Key>) {
  return rows.map(({ of, ...row }) => (
    <Field key={of} {...row} value={part[of]} onChange={(v) => set(of, v)} />
  ))
}
