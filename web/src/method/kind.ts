import type { Schemas } from '../api/client'

export type Method = Schemas['BatchSummary']['method']

/** A recipe with its hives, and what it came to: saved, or only tried. */
export type Worked = Pick<Schemas['Batch'], 'recipe' | 'answer'>

/** What other parts of the interface have to know of a method. */
export interface Facts {
  /** What it is poured from; nothing where it is counted out. */
  vessel?: 'jar' | 'bottle'
  /** Doses go by seams: they can be read off a table, and a parted cluster is asked about. */
  bySeams?: true
  /** It stays in the hive until it is taken out. */
  stays?: true
  /** It is put in its place by hand, and not poured. */
  placed?: true
  /** It fumes: one works from the downwind end. */
  fumes?: true
  /** The protocols that it is judged by; the empty one is the usual of the season. */
  protocols: readonly string[]
  /** So many of it, in its noun. */
  pieces: (n: number) => string
  /** What to do after a splash of it. */
  splash: string
}
