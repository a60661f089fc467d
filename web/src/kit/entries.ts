import type { System } from './ways'
import { typed as written, type Reader } from './reader'
import { rewriteTo } from './rewrite'
import type { TermName } from './Term'

/** Where a figure or a choice stands in a request; lists are read elsewhere. */
export type Path<T> = {
  [K in keyof T & string]: NonNullable<T[K]> extends readonly unknown[]
    ? never
    : NonNullable<T[K]> extends object
      ? `${K}.${Path<NonNullable<T[K]>>}`
      : K
}[keyof T & string]

/** What is typed and chosen, as it stands on the screen. */
export type Typed<Key extends string> = Partial<Record<Key, string>>

type Said<Key extends string> = string | ((typed: Typed<Key>) => string | undefined)

/** What can be chosen, by what it is called. */
export type Options = Readonly<Record<string, string>>

/** One thing that a form asks: a figure, a short text, or a choice among options. */
export interface Entry<Key extends string> {
  /** Its name in what is typed. */
  of: Key
  /** Where it stands in the request, where that is another name. */
  at?: string
  label: Said<Key>
  /** What is typed: a figure when nothing is said. */
  as?: 'number' | 'whole' | 'degrees' | 'apart' | 'day' | 'words' | 'lines' | 'secret' | 'tick'
  /** Of words: so many characters at most, and what a browser may fill in. */
  most?: number
  autoComplete?: string
  options?: Options | ((typed: Typed<Key>) => Options)
  /** So many of its options stand side by side; else two, or all three. */
  columns?: number
  /** Its label stands above its options, which do not say what they are of. */
  titled?: true
  /** Its options are folded into a list. */
  list?: true
  unit?: Said<Key>
  placeholder?: Said<Key>
  hint?: (typed: Typed<Key>, at: (celsius: number) => string) => string | undefined
  /** What it begins with, where neither the usual figure nor the first option is meant. */
  first?: string
  /** It is asked only while this holds. */
  when?: (typed: Typed<Key>) => boolean
  /** What else changes with it. */
  also?: (typed: Typed<Key>) => void
  /** The screen's own: no request tells it. */
  aside?: true
  /** It has no field of its own: it is chosen on a drawing, or is the id of what is made. */
  unseen?: true | undefined
}

/** Entries under one title. */
export interface Panel<Key extends string> {
  title: string
  /** What holds, in a word or two; the name of what is chosen first when nothing is said. */
  brief?: (typed: Typed<Key>) => string | undefined
  folded?: boolean | ((typed: Typed<Key>) => boolean)
  when?: (typed: Typed<Key>) => boolean
  entries: readonly Entry<Key>[]
  /** A word of its that a newcomer may not know. */
  term?: TermName
  /** Faults that no entry is named for. */
  faults?: readonly string[]
}

/** What a plan goes by where nothing is said, by path, as it would be typed. */
export type Usual = Readonly<Record<string, string>>

/** What stands in a form for what is ticked; nothing for what is not. */
export const TICKED = 'yes'

export const pathOf = ({ of, at }: { of: string; at?: string }) => at ?? of

export const say = <Key extends string>(said: Said<Key> | undefined, typed: Typed<Key>) =>
  typeof said === 'function' ? said(typed) : said

export const optionsOf = <Key extends string>({ options }: Entry<Key>, typed: Typed<Key>) =>
  typeof options === 'function' ? options(typed) : options

/** The condition that a choice is one of these. */
export const when =
  <Key extends string>(of: Key, ...chosen: string[]) =>
  (typed: Typed<Key>) =>
    chosen.includes(typed[of] ?? '')

const holds = <Key extends string>(of: { when?: (typed: Typed<Key>) => boolean }, typed: Typed<Key>) =>
  of.when?.(typed) ?? true

/** The entries that are asked just now. */
export const asked = <Key extends string>(panels: readonly Panel<Key>[], typed: Typed<Key>) =>
  panels.filter((p) => holds(p, typed)).flatMap((p) => p.entries.filter((e) => holds(e, typed)))

/** The form as it begins. */
export function begin<Key extends string>(panels: readonly Panel<Key>[], usual: Usual): Typed<Key> {
  const out: Typed<Key> = {}
  for (const e of panels.flatMap((p) => p.entries))
    out[e.of] = e.first ?? usual[e.of] ?? usual[pathOf(e)] ?? Object.keys(optionsOf(e, out) ?? {})[0] ?? ''
  return out
}

/** What is typed as words, not as figures. */
export const WORDS: ReadonlySet<string> = new Set(['words', 'lines', 'secret', 'day'])

const FIGURES = ['number', 'whole', 'degrees', 'apart'] as const
type FigureKind = (typeof FIGURES)[number]

/** How the figure of an entry is read; undefined for what is no figure. */
const figureOf = <Key extends string>(e: Entry<Key>): FigureKind | undefined =>
  e.options || e.unseen ? undefined : FIGURES.find((f) => f === (e.as ?? 'number'))

/** The request that a form stands for, in metric units whatever was typed in; what is not asked is left out. */
export function read<Key extends string>(
  panels: readonly Panel<Key>[],
  typed: Typed<Key>,
  reader: Reader,
): object {
  const request = {}
  for (const e of asked(panels, typed)) {
    const text = typed[e.of] ?? ''
    const figure = figureOf(e)
    const v = figure ? reader[figure](pathOf(e), text) : e.as === 'tick' ? text === TICKED : text
    // Words are told even when there are none: what is missing is said at its field.
    const told = v !== undefined && (v !== '' || WORDS.has(e.as ?? 'number'))
    if (told && !e.aside && !(e.unseen && v === '')) put(request, pathOf(e), v)
  }
  return request
}

/** The inverse of read, onto a form as it begins. */
export function adopt<Key extends string>(
  panels: readonly Panel<Key>[],
  request: object,
  begun: Typed<Key>,
): Typed<Key> {
  const out = { ...begun }
  for (const p of panels)
    for (const e of p.entries) {
      const v = holds(p, out) && holds(e, out) && !e.aside ? pick(request, pathOf(e)) : undefined
      if (typeof v === 'number') out[e.of] = written(v) || '0'
      if (typeof v === 'string') out[e.of] = v
      if (typeof v === 'boolean') out[e.of] = v ? TICKED : ''
    }
  return out
}

/** The same in other units. */
export function inUnits<Key extends string>(panels: readonly Panel<Key>[], typed: Typed<Key>, to: System) {
  const out = { ...typed }
  for (const e of panels.flatMap((p) => p.entries))
    if (e.as === 'degrees' || e.as === 'apart') out[e.of] = rewriteTo[to][e.as](typed[e.of] ?? '')
  return out
}

/** Whether every fault, of one at least, stands at a field that is seen just now: else it must be said besides. */
export function atFields<Key extends string>(
  panel: Panel<Key>,
  typed: Typed<Key>,
  faults: Readonly<Record<string, string>>,
) {
  const seen = asked([panel], typed)
    .filter((e) => !e.unseen && !e.aside)
    .map(pathOf)
  const paths = Object.keys(faults)
  return paths.length > 0 && paths.every((path) => seen.includes(path))
}

type Tree = Record<string, unknown>

const pick = (from: object, path: string): unknown =>
  path.split('.').reduce<unknown>((at, name) => (at as Tree | undefined)?.[name], from)

function put(into: object, path: string, v: unknown) {
  const names = path.split('.')
  const last = names.pop()!
  const at = names.reduce<Tree>((of, name) => (of[name] ??= {}) as Tree, into as Tree)
  at[last] = v
}
