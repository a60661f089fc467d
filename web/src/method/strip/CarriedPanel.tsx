import NativeSelect from '@mui/material/NativeSelect'
import { useQuery } from '@tanstack/react-query'
import { batchesQuery } from '../../kit/queries'
import { type Schemas } from '../../api/client'
import { Figures } from '../../kit/Figures'
import { FaultLine } from '../../kit/Field'
import { Section } from '../../kit/Section'
import { tenths } from '../../kit/format'
import type { Change } from '../draft'
import type { StripDraft } from './draft'
import { text } from './text'

/** What is left of an earlier pot and goes into this one, with its own strength. */
export function CarriedPanel({ draft, change }: { draft: StripDraft; change: Change<StripDraft> }) {
  const { carried } = draft
  const pots = useQuery({ ...batchesQuery, select: ({ batches }) => batches.filter(pourable) })
  const choose = (id: string) =>
    change((d) => {
      d.carried.parent = id
      const pot = pots.data?.find((p) => p.id === id)
      if (pot)
        Object.assign(
          d.carried,
          strengths(pot),
          pot.leftover && { grams: String(Math.floor(pot.on_hand.left * 10) / 10) },
        )
    })
  return (
    <Section
      title={text.carried}
      brief={carried.grams === '' ? text.carriedNone : text.carriedBrief(carried.grams)}
      folded={carried.grams === '' && carried.parent === ''}
    >
      <NativeSelect
        fullWidth
        value={carried.parent}
        inputProps={{ 'aria-label': text.carriedFrom }}
        onChange={(e) => choose(e.target.value)}
      >
        <option value="">{text.carriedUnkept}</option>
        {pots.data?.map((p) => (
          <option key={p.id} value={p.id}>
            {p.name}
            {p.leftover && text.carriedLeft(tenths(p.on_hand.left), p.on_hand.keeps === 'past')}
          </option>
        ))}
      </NativeSelect>
      <FaultLine path="parent_id" />
      <Figures
        part={carried}
        set={(key, v) => change((d) => void (d.carried[key] = v))}
        rows={[
          { of: 'grams', label: text.carriedGrams, unit: 'g', path: 'carried.grams' },
          { of: 'oad', label: text.carriedOAD, unit: '%', path: 'carried.oad_percent' },
          { of: 'water', label: text.carriedWater, unit: '%', path: 'carried.water_percent' },
        ]}
      />
    </Section>
  )
}

/** What a pot left over and is still there; or a pot that was never at the bench, of which nobody knows. */
const pourable = (b: Schemas['BatchSummary']) =>
  b.method === 'strip' && !b.voided_at && (b.leftover ? b.on_hand.left > 0 : b.state === 'planned')

/** A kept pot's shares of acid and water, as they would be typed. */
function strengths(pot: Schemas['BatchSummary']) {
  const all = pot.composition.reduce((sum, c) => sum + c.grams, 0)
  const percent = (name: string) => {
    const grams = pot.composition.find((c) => c.name === name)?.grams ?? 0
    return String(Number(((100 * grams) / all).toFixed(2)))
  }
  return { oad: percent('oxalic_acid_dihydrate'), water: percent('water') }
}
