import type { Schemas } from '../api/client'
import type { BoxShape } from './HiveBoxes'
import { HIVES, type HiveName } from './hive'
import { text } from './text'

type HiveBox = Schemas['HiveBox']

export const shapes = (boxes: readonly HiveBox[]): BoxShape[] =>
  boxes.map((b) => ({ depth: b.kind, slots: [...b.slots] as BoxShape['slots'] }))

export const hiveBoxes = (boxes: readonly BoxShape[]): HiveBox[] =>
  boxes.map((b) => ({ kind: b.depth, slots: [...b.slots] }))

export const preset = (name: HiveName): BoxShape[] =>
  HIVES[name].boxes().map(({ depth, slots }) => ({ depth, slots }))

/** A hive in words: deep 10 + shallow 10. */
export const inWords = (boxes: readonly HiveBox[]) =>
  text.boxes(boxes.map((b) => `${text.boxKinds[b.kind]} ${b.slots.length}`))
