import { useQuery } from '@tanstack/react-query'
import { client, data } from '../../api/client'
import { Ladder } from '../../drawing/Ladder'
import { Vessel } from '../../drawing/Vessel'
import { plain, three, volume } from '../../kit/format'
import { useUnits } from '../../kit/units'
import type { Change } from '../draft'
import styles from '../method.module.css'
import type { Answer, Carrier, StripTyped } from './fields'
import { text } from './text'

interface Props {
  typed: StripTyped
  plan: Answer | undefined
  change: Change<StripTyped>
}

/** The pot filled with liquor, and the ladder of recipes beside it. */
export function PotBand({ typed, plan, change }: Props) {
  const { system } = useUnits()
  const protocols = useQuery({
    queryKey: ['protocols', 'strip'],
    queryFn: ({ signal }) => data(client.GET('/api/strip/protocols', { signal })),
    staleTime: Infinity,
  })
  const rungs = (protocols.data ?? []).map((s) => ({
    id: s.id,
    name: text.protocolNames[s.id] ?? s.id,
    at: s.liquor.oad_percent,
  }))
  const made = plan ? volume(plan.liquor.volume_ml, system) : { value: '–', unit: '' }
  return (
    <div className={styles.band}>
      <Vessel
        kind="pot"
        volume={plan?.liquor.volume_ml ?? 0}
        taken={plan ? plan.liquor.volume_ml - plan.leftover_ml : 0}
        size={plan?.vessel_ml}
        figure={made.value}
        unit={made.unit}
      />
      <div className={styles.legend}>
        {plan && (
          <>
            <p>
              <b>{text.count(plan.strips, typed.carrier as Carrier)}</b>
              {text.potStrips(three(plan.strip_oad_g))}
            </p>
            <p>
              <b>{plain(Math.round(plan.liquor.grams))} g</b> {text.potLiquor}
            </p>
            {plan.leftover_g >= 0.5 && (
              <p className="quiet">{text.potLeft(plain(Math.round(plan.leftover_g)))}</p>
            )}
            {plan.served > 0 && <p className="quiet">{text.potServes(plan.served)}</p>}
          </>
        )}
      </div>
      {rungs.length > 0 && (
        <Ladder
          rungs={rungs}
          unit="%"
          places={1}
          fill="pot"
          at={plan?.liquor.oad_percent}
          chosen={typed['recipe.protocol']}
          onChoose={(id) => change((t) => void (t['recipe.protocol'] = id))}
        />
      )}
    </div>
  )
}
