import { client, data } from '../../api/client'
import { plain, three } from '../../kit'
import { Band, useRungs } from '../Band'
import type { Change } from '../draft'
import type { Answer, Carrier, StripTyped } from './fields'
import { text } from './text'

interface Props {
  typed: StripTyped
  plan: Answer | undefined
  change: Change<StripTyped>
}

/** The pot filled with liquor, and the ladder of recipes beside it. */
export function PotBand({ typed, plan, change }: Props) {
  const rungs = useRungs(
    ['protocols', 'strip'],
    (signal) => data(client.GET('/api/strip/protocols', { signal })),
    (s) => ({ id: s.id, name: text.protocolNames[s.id] ?? s.id, at: s.liquor.oad_percent }),
  )
  return (
    <Band
      vessel={{
        kind: 'pot',
        ml: plan?.liquor.volume_ml,
        taken: plan ? plan.liquor.volume_ml - plan.leftover_ml : 0,
        size: plan?.vessel_ml,
      }}
      legend={
        plan && (
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
        )
      }
      rungs={rungs}
      ladder={{
        unit: '%',
        places: 1,
        fill: 'pot',
        at: plan?.liquor.oad_percent,
        chosen: typed['recipe.protocol'],
        onChoose: (id) => change((t) => void (t['recipe.protocol'] = id)),
      }}
    />
  )
}
