import { Advice, Docket, Total, Totals } from '../../docket/Docket'
import { Lines } from '../../docket/Lines'
import { Asides, Minding, Warnings } from '../../docket/Minding'
import { GivingTable, Sheet } from '../../docket/Sheet'
import { text as shared } from '../../docket/text'
import { fixed, plain, seams, temperature, three, volume, type System } from '../../kit/format'
import { useUnits } from '../../kit/units'
import type { DocketProps } from '../docketProps'
import { text } from './docketText'
import type { Answer, Carrier, Request } from './fields'
import { text as mix } from './text'

/** What to cook, how to soak, and which gaps of which hive: on the screen, on paper and in a saved batch. */
export function StripDocket({
  answer: plan,
  request,
  place,
  rule,
  when,
  busy,
}: DocketProps<Request, Answer>) {
  const { system } = useUnits()
  const carrier = request.carrier ?? 'strip'
  return (
    <Docket
      title={text.title(mix.count(plan.strips, carrier))}
      sub={text.sub(recipeName(request))}
      origin={shared.origin(place, when)}
      busy={busy}
    >
      <Sheet
        weighing={
          <>
            <Warnings notes={plan.notes} />
            <Lines lines={plan.lines} words={text.steps} />
            <Figures plan={plan} carrier={carrier} system={system} />
            <Advice title={text.then} lines={work(plan, carrier, system)} />
          </>
        }
        giving={
          <>
            <Placing plan={plan} />
            <Advice title={shared.giving} lines={how(plan)} />
            <Asides notes={plan.notes} />
          </>
        }
        minding={
          <Minding
            splash={shared.splashOxalic}
            nevers={text.nevers}
            left={plan.leftover_g >= 0.5 ? text.leftIn(plain(Math.round(plan.leftover_g))) : ''}
            neutralise={plan.neutralise}
            keeping={[text.keep]}
            rule={rule}
          />
        }
      />
    </Docket>
  )
}

function Figures({ plan, carrier, system }: { plan: Answer; carrier: Carrier; system: System }) {
  const made = volume(plan.liquor.volume_ml, system)
  const pot = volume(plan.vessel_ml, system)
  const piece = mix.piece[carrier]
  return (
    <Totals>
      <Total label={text.inPiece(piece)} value={three(plan.strip_oad_g)} unit="g" />
      <Total label={text.byWeight} value={three(plan.liquor.oad_percent)} unit="%" />
      <Total
        label={text.liquor}
        value={plain(Math.round(plan.liquor.grams))}
        unit={`g · ${made.value} ${made.unit}`}
      />
      <Total label={text.left} value={plain(Math.round(plan.leftover_g))} unit="g" />
      <Total label={text.pot} value={pot.value} unit={pot.unit} />
      {plan.cost && <Total label={text.costPiece(piece)} value={fixed(plan.cost_of_strip ?? 0, 2)} unit="" />}
      {plan.cost && plan.served > 0 && (
        <Total label={shared.costColony} value={fixed(plan.cost.per_colony, 2)} unit="" />
      )}
      {plan.cost && <Total label={shared.cost} value={fixed(plan.cost.total, 2)} unit="" />}
    </Totals>
  )
}

function Placing({ plan }: { plan: Answer }) {
  return (
    <GivingTable
      gear={plan.give_gear}
      head={text.head}
      rows={plan.colonies.map((c) => ({
        name: c.name,
        cells: [seams(c.frames), gapsIn(c)],
        figure: plain(c.strips),
        parts: c.strips > 0 ? text.acid(three(c.oad_g ?? 0)) : undefined,
      }))}
      sum={{
        cells: [seams(plan.colonies.reduce((sum, c) => sum + c.frames, 0)), ''],
        figure: plain(plan.need),
      }}
    />
  )
}

/** How the gaps are counted, and how long the strips stay. */
function how(plan: Answer): string[] {
  if (plan.colonies.length === 0) return []
  return [through(plan) ? `${text.gapsHint} ${text.through}` : text.gapsHint]
}

const through = (plan: Answer) =>
  plan.colonies.some((c) => c.boxes.some((b) => b.gaps.some((g) => g.through)))

/** The gaps of each box that has any, counted as the keeper does. */
function gapsIn(c: Answer['colonies'][number]): string {
  const boxes = c.boxes.map((b) => b.gaps.flatMap((g, i) => (g.strip ? [i + 1] : [])).join(' '))
  if (boxes.length === 1) return boxes[0] ?? ''
  return boxes.flatMap((gaps, i) => (gaps ? [text.box(i + 1, gaps)] : [])).join(' · ') || text.none
}

/** The work after the weighing, with its figures. */
function work(plan: Answer, carrier: Carrier, system: System): string[] {
  const out = []
  if (plan.acid_g > 0) {
    const fall = system === 'us' ? `${Math.round(plan.dip_c * 1.8)} °F` : `${Math.round(plan.dip_c)} °C`
    out.push(text.dip(temperature(plan.warm_to_c, system), fall, temperature(plan.highest_c, system)))
  }
  if (carrier === 'sponge') return [...out, text.soakSponges]
  const b = plan.bundles
  const bundles = b
    ? [b.fuller ? text.slots(b.fuller, b.more ?? 0) : '', b.slots ? text.slots(b.slots, b.less) : '']
        .filter(Boolean)
        .join(', ') + text.soaks(b.soaks)
    : ''
  return [...out, text.soak(bundles)]
}

function recipeName(request: Request): string {
  const { protocol } = request.recipe
  return protocol ? (mix.protocolNames[protocol] ?? protocol) : mix.ownName
}
