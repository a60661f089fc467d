import { useQuery } from '@tanstack/react-query'
import { client, data } from '../../api/client'
import { Vessel } from '../../drawing/Vessel'
import { Ladder } from '../../drawing/Ladder'
import { plain, volume } from '../../kit/format'
import { useUnits } from '../../kit/units'
import type { Change } from '../draft'
import { when } from '../../kit/entries'
import type { Answer, DribbleTyped } from './fields'
import styles from '../method.module.css'
import { text } from './text'

/** The jar filled to the volume, and the ladder of protocols beside it. */
export function JarBand({
  typed,
  plan,
  change,
}: {
  typed: DribbleTyped
  plan: Answer | undefined
  change: Change<DribbleTyped>
}) {
  const { system } = useUnits()
  const protocols = useQuery({
    queryKey: ['protocols', 'dribble'],
    queryFn: ({ signal }) => data(client.GET('/api/dribble/protocols', { signal })),
    staleTime: Infinity,
  })
  const rungs = (protocols.data ?? []).map((s) => ({
    id: s.id,
    name: text.protocolNames[s.id] ?? s.id,
    at: s.strength.g_per_l,
  }))
  const made = plan ? volume(plan.volume_ml, system) : { value: '–', unit: '' }
  return (
    <div className={styles.band}>
      <Vessel
        kind="jar"
        volume={plan?.volume_ml ?? 0}
        taken={plan?.given_ml ?? 0}
        figure={made.value}
        unit={made.unit}
      />
      <div className={styles.legend}>{plan && <Legend typed={typed} plan={plan} />}</div>
      {rungs.length > 0 && (
        <Ladder
          rungs={rungs}
          unit="g/L"
          fill="jar"
          at={plan && plan.strength.g_per_l > 0 ? plan.strength.g_per_l : undefined}
          chosen={typed['strength.by'] === 'protocol' ? typed['strength.protocol'] : undefined}
          onChoose={
            typed['hold.kind'] === 'ready_to_use'
              ? undefined
              : (id) =>
                  change((t) => {
                    t['strength.by'] = 'protocol'
                    t['strength.protocol'] = id
                  })
          }
        />
      )}
    </div>
  )
}

function Legend({ typed, plan }: { typed: DribbleTyped; plan: Answer }) {
  const left = plan.use.left
  const unit = text.leftUnits[typed['hold.kind'] as keyof typeof text.leftUnits]
  const amount = left === undefined ? '' : `${plain(Number(Math.abs(left).toFixed(1)))} ${unit}`
  const bySeams = when('size.by', 'boards', 'count')(typed)
  // As shown on the jar, so that the two parts add up to it.
  const rest = Math.round(plan.volume_ml) - plan.given_ml
  return (
    <>
      {plan.given_ml > 0 && (
        <p>
          <b>{plain(plan.given_ml)} mL</b> {text.jarDoses}
        </p>
      )}
      {plan.given_ml > 0 && (
        <p className={rest < 0 ? styles.harm : undefined}>
          <b>{plain(Math.abs(rest))} mL</b> {rest < 0 ? text.jarShort : bySeams ? text.jarRest : text.jarOver}
        </p>
      )}
      <p className="quiet">{text.jarServes(plan.at_cap, plain(Math.floor(plan.full_seams)))}</p>
      {left !== undefined && (
        <p className={left < -0.001 ? styles.harm : 'quiet'}>
          {left < -0.001 ? text.missing(amount) : text.left(amount)}
        </p>
      )}
    </>
  )
}
