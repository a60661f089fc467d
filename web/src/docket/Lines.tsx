import { Fragment } from 'react'
import type { Schemas } from '../api/client'
import { us, fixed, mass, ounces, placesOf, plain, pounds, temperature, volume } from '../kit'
import { DocketLine, Gear } from './Docket'
import { text } from './text'

type Line = Schemas['Line']
/** Writes a temperature in the units in use. */
export type Degrees = (celsius: number) => string
/** The name and the hint of each step of a method. */
export type StepWords = Record<string, (l: Line, at: Degrees) => string[]>

interface Props {
  lines: readonly Line[]
  words: StepWords
  /** What is counted, in the plural. */
  pieces?: string
}

/** What to weigh, in the order of the work, the gear before the line that asks for it. */
export function Lines({ lines, words, pieces = '' }: Props) {
  return lines.map((l, i) => {
    const [name = l.step, hint = ''] = words[l.step]?.(l, (c) => temperature(c)) ?? []
    return (
      <Fragment key={i}>
        {l.gear && <GearNow pieces={l.gear} label={text.gearLabel} />}
        <DocketLine
          number={i + 1}
          name={name}
          hint={[hint, loads(l)].filter(Boolean).join('; ')}
          acid={ACID.has(l.ingredient)}
          {...figures(l, lines, pieces)}
        />
      </Fragment>
    )
  })
}

/** What a step weighs, as it is shown; nothing where it is not in the plan. */
export function weighed(lines: Props['lines'] | undefined, step: string) {
  const line = lines?.find((l) => l.step === step)
  return line?.show_g === undefined ? undefined : mass(line.show_g, line.band_g ?? 1).value
}

export function GearNow({ pieces, label }: { pieces: readonly string[]; label: string }) {
  if (pieces.length === 0) return null
  return <Gear label={label} pieces={pieces.map((g) => text.gear[g] ?? g)} />
}

const ACID = new Set([
  'oxalic_acid_dihydrate',
  'oxalic_acid_anhydrous',
  'packet_powder',
  'tablets',
  'ready_mix',
  'ready_to_use',
  'carried_liquor',
  'formic_acid',
  'ready_pads',
])

function loads(l: Line): string {
  if ((l.loads ?? 1) < 2) return ''
  const places = placesOf(l.band_g ?? 1)
  const last = l.last_g === undefined || l.last_g === l.load_g ? '' : fixed(l.last_g, places)
  return text.loads(l.loads ?? 0, fixed(l.load_g ?? 0, places), last)
}

/**
 * The figure of a line, and what stands beneath it. What holds acid is always in
 * grams; the rest may be in pounds and ounces, and two parts of the water then
 * keep adding up.
 */
function figures(l: Line, all: readonly Line[], pieces: string) {
  if (l.count) return { value: String(l.count), unit: pieces }
  if (l.grams === undefined || l.show_g === undefined) return volume(l.volume_ml ?? 0)
  const grams = mass(l.show_g, l.band_g ?? 1)
  const band = text.tolerance(fixed(l.band_g ?? 0, placesOf(l.band_g ?? 0)))
  if (us() && !ACID.has(l.ingredient)) {
    return { ...pounds(kitchen(l, all)), tolerance: text.grams(grams.value) }
  }
  const poured = l.volume_ml ? `${plain(Math.round(l.volume_ml))} mL` : ''
  return { ...grams, tolerance: [band, poured].filter(Boolean).join(' · ') }
}

function kitchen(l: Line, all: readonly Line[]): number {
  const water = all.filter((x) => x.ingredient === 'water')
  if (water.length < 2 || l !== water[1]) return ounces(l.grams ?? 0)
  const whole = ounces(water.reduce((sum, x) => sum + (x.grams ?? 0), 0))
  return Number((whole - ounces(water[0]?.grams ?? 0)).toFixed(2))
}
