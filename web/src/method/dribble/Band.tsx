import { client, data } from '../../api/client'
import { plain, when } from '../../kit'
import { Band, useRungs } from '../Band'
import type { Change } from '../draft'
import styles from '../method.module.css'
import type { Answer, DribbleTyped } from './fields'
import { VesselPick } from '../vessels/VesselPick'
import { useVessels, type OwnVessel } from '../vessels/vessels'
import { text } from './text'

interface Props {
  typed: DribbleTyped
  plan: Answer | undefined
  change: Change<DribbleTyped>
}

/** The jar filled to the volume, and the ladder of protocols beside it. */
export function JarBand({ typed, plan, change }: Props) {
  const rungs = useRungs(
    ['protocols', 'dribble'],
    (signal) => data(client.GET('/api/dribble/protocols', { signal })),
    (s) => ({ id: s.id, name: text.protocolNames[s.id] ?? s.id, at: s.strength.g_per_l }),
  )
  const choose = (id: string) =>
    change((t) => {
      t['strength.by'] = 'protocol'
      t['strength.protocol'] = id
    })
  const jars = useVessels().filter((v) => v.kind === 'jar')
  const own = jars
    .map(({ ml }) => ml)
    .sort((a, b) => a - b)
    .find((ml) => plan && ml >= plan.volume_ml)
  const fill = ({ ml }: OwnVessel) =>
    change((t) => {
      t['size.by'] = 'volume'
      t['size.volume_ml'] = String(ml)
    })
  return (
    <Band
      below={
        typed['size.by'] === 'volume' && <VesselPick ml={Number(typed['size.volume_ml'])} onChoose={fill} />
      }
      vessel={{ kind: 'jar', ml: plan?.volume_ml, taken: plan?.given_ml ?? 0, ...(own && { size: own }) }}
      legend={plan && <Legend typed={typed} plan={plan} />}
      rungs={rungs}
      ladder={{
        unit: 'g/L',
        fill: 'jar',
        at: plan && plan.strength.g_per_l > 0 ? plan.strength.g_per_l : undefined,
        chosen: typed['strength.by'] === 'protocol' ? typed['strength.protocol'] : undefined,
        onChoose: typed['hold.kind'] === 'ready_to_use' ? undefined : choose,
      }}
    />
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
