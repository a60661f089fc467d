import type { Schemas } from '../../api/client'
import { type Panel, type Path, type Typed, when } from '../../kit'
import { text } from './text'

export type Request = Schemas['PadRequest']
export type Answer = Schemas['PadAnswer']
export type From = 'above' | 'below'

/** strength: how the acid's is known; hives: drawn, or so many alike. */
export type Key = Path<Request> | 'strength' | 'hives'
export type PadTyped = Typed<Key>

export const ready = when('hold.kind', 'ready_pads')
const acid = (t: PadTyped) => !ready(t)
const read = (t: PadTyped) => acid(t) && t.strength === 'density'
const own = when('amount.protocol', 'own')
const wick = when('amount.protocol', 'bottle-wick', 'own')
const counted = when('hives', 'counted')
const sizedBy = (...by: string[]) => when('size.by', ...by)

/** What the form of formic acid and its pads asks. */
export const PANELS: readonly Panel<Key>[] = [
  {
    title: text.hold,
    entries: [
      { of: 'hold.kind', label: text.hold, options: text.holdKinds },
      { of: 'strength', label: text.strengthBy, options: text.strengthBys, aside: true, when: acid },
      {
        of: 'hold.percent',
        label: text.percent,
        unit: '%',
        when: (t) => acid(t) && t.strength === 'label',
      },
      { of: 'hold.reading.g_per_ml', label: text.density, unit: 'g/mL', when: read },
      { of: 'hold.reading.temp_c', as: 'degrees', label: text.temp, when: read },
      { of: 'hold.reading.off_g_per_ml', label: text.off, unit: 'g/mL', when: read },
      { of: 'hold.reading.temp_off_c', as: 'apart', label: text.tempOff, when: read },
      { of: 'hold.volume_ml', unit: 'mL', label: text.inHand, placeholder: text.notSaid, when: acid },
      { of: 'hold.card.name', as: 'words', label: text.cardName, when: ready },
      { of: 'hold.card.formic_g', label: text.cardFormic, unit: 'g', when: ready },
      { of: 'hold.card.each', as: 'whole', label: text.cardEach, first: '2', when: ready },
      { of: 'hold.card.per', label: text.cardPer, options: text.cardPers, when: ready },
      { of: 'hold.card.from', label: text.from, options: text.froms, when: ready },
      { of: 'hold.card.nuc_each', as: 'whole', label: text.cardNuc, placeholder: text.notSaid, when: ready },
      { of: 'hold.card.visits', as: 'whole', label: text.visits, first: '1', when: ready },
      { of: 'hold.card.days_apart', as: 'whole', label: text.apart, when: ready },
      { of: 'hold.count', as: 'whole', label: text.cardCount, placeholder: text.notSaid, when: ready },
    ],
  },
  {
    title: text.working,
    brief: (t) => t.working_percent && `${t.working_percent} %`,
    when: acid,
    entries: [{ of: 'working_percent', label: text.workingPercent, unit: '%' }],
  },
  {
    title: text.amount,
    term: 'protocol',
    brief: (t) => text.protocolNames[t['amount.protocol'] ?? ''],
    when: acid,
    entries: [
      { of: 'amount.protocol', label: text.amount, options: text.amounts },
      { of: 'amount.per', label: text.per, options: text.pers, when: own },
      { of: 'amount.ml', label: text.ml, unit: 'mL', when: own },
      { of: 'amount.at_percent', label: text.at, unit: '%', placeholder: text.asUsed, when: own },
      { of: 'amount.from', label: text.from, options: text.froms, when: own },
      { of: 'amount.nuc_ml', label: text.nuc, unit: 'mL', placeholder: text.byCombs, when: own },
      { of: 'amount.cap_ml', label: text.cap, unit: 'mL', placeholder: text.noCap, when: own },
      { of: 'amount.visits', as: 'whole', label: text.visits },
      { of: 'amount.days_apart', as: 'whole', label: text.apart },
      { of: 'amount.wick_one_cm2', label: text.wickOne, unit: 'cm²', placeholder: text.notSaid, when: wick },
      { of: 'amount.wick_more_cm2', label: text.wickMore, unit: 'cm²', placeholder: text.asOne, when: wick },
    ],
  },
  {
    title: text.sizedBy,
    when: acid,
    entries: [
      { of: 'size.by', label: text.sizedBy, options: text.sizes },
      { of: 'size.working_ml', unit: 'mL', label: text.workingML, when: sizedBy('working') },
      { of: 'size.stock_ml', unit: 'mL', label: text.stockML, when: sizedBy('stock') },
      { of: 'size.water_g', label: text.waterG, unit: 'g', when: sizedBy('water') },
      { of: 'size.reserve_percent', label: text.reserve, unit: '%', when: sizedBy('visit', 'course') },
    ],
  },
  {
    title: text.hives,
    entries: [
      { of: 'hives', label: text.hives, options: text.hivesBy, aside: true },
      { of: 'mean.colonies', as: 'whole', label: text.colonies, when: counted },
      { of: 'mean.combs', as: 'whole', label: text.combs, first: '10', when: counted },
      { of: 'mean.boxes', as: 'whole', label: text.boxes, first: '1', when: counted },
    ],
  },
  {
    title: text.sheet,
    folded: true,
    when: acid,
    entries: [
      { of: 'sheet.takes_ml', label: text.takes, unit: 'mL', placeholder: text.notSaid },
      { of: 'sheet.width_cm', label: text.width, unit: 'cm' },
      { of: 'sheet.length_cm', label: text.length, unit: 'cm' },
    ],
  },
]

/** What it is sold in, and what it costs. */
export const KEEPING: Panel<Key> = {
  title: '',
  entries: [
    { of: 'bottle_ml', unit: 'mL', label: text.bottle, when: acid },
    { of: 'prices.stock', label: (t) => (ready(t) ? text.pricePad : text.priceStock) },
  ],
}
