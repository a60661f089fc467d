import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { client, data } from '../../api/client'
import { Choice } from '../../kit/Choice'
import { Figures } from '../../kit/Figures'
import { Field } from '../../kit/Field'
import { Section } from '../../kit/Section'
import { useStart } from '../../kit/useStart'
import { three } from '../../kit/format'
import type { Change } from '../draft'
import { nameIn } from '../text'
import type { StripDraft } from './draft'
import { text } from './text'

interface Props {
  draft: StripDraft
  change: Change<StripDraft>
}

/** What the liquor is soaked into, and how much one piece takes up. */
export function CarrierPanel({ draft, change }: Props) {
  const { carrier } = draft
  const uptake = draft.uptake[carrier]
  return (
    <Section title={text.carrier} brief={nameIn(text.carriers, carrier)}>
      <Choice
        label={text.carrier}
        value={carrier}
        options={text.carriers}
        columns={3}
        path="carrier"
        onChange={(c) => change((d) => void (d.carrier = c))}
      />
      <Field
        label={text.uptake[carrier]}
        unit="g"
        path="uptake_g"
        hint={uptake === '' ? text.uptakeHint : undefined}
        value={uptake}
        onChange={(v) => change((d) => void (d.uptake[carrier] = v))}
      />
      <Learnt carrier={carrier} uptake={uptake} onTake={(g) => change((d) => void (d.uptake[carrier] = g))} />
      {carrier === 'sponge' && (
        <Choice
          label={text.between}
          value={draft.between ? 'between' : 'each'}
          options={text.betweens}
          onChange={(v) => change((d) => void (d.between = v === 'between'))}
        />
      )}
    </Section>
  )
}

interface LearntProps {
  carrier: StripDraft['carrier']
  uptake: string
  onTake: (grams: string) => void
}

/** What one's own pots taught of this kind, to be planned with. */
function Learnt({ carrier, uptake, onTake }: LearntProps) {
  const me = useStart().me
  const learnt = useQuery({
    queryKey: ['batches', 'uptakes'],
    queryFn: ({ signal }) => data(client.GET('/api/uptakes', { signal })),
    enabled: me !== undefined,
  })
  const own = learnt.data?.learnt.find((l) => l.carrier === carrier)
  if (!own || three(own.each_g) === uptake) return null
  return (
    <Button size="small" onClick={() => onTake(three(own.each_g))} data-learnt>
      {text.learnt(three(own.each_g), own.off_g > 0 ? three(own.off_g) : '', own.pots)}
    </Button>
  )
}

/** How many a colony gets. */
export function NumberPanel({ draft, change }: Props) {
  const { number } = draft
  return (
    <Section title={text.number} brief={nameIn(text.numbers, number.by)}>
      <Choice
        label={text.number}
        value={number.by}
        options={text.numbers}
        path="number.by"
        onChange={(by) => change((d) => void (d.number.by = by))}
      />
      {number.by === 'bees' && (
        <Figures
          part={number}
          set={(key, v) => change((d) => void (d.number[key] = v))}
          rows={[
            { of: 'frames', label: text.frames, path: 'number.frames' },
            { of: 'most', label: text.most, path: 'number.most_per_box' },
          ]}
        />
      )}
      {(number.by === 'box' || number.by === 'colony') && (
        <Field
          label={text.each[number.by]}
          path="number.each"
          value={number.each}
          onChange={(v) => change((d) => void (d.number.each = v))}
        />
      )}
    </Section>
  )
}
