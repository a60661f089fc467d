import { PlanDocket } from '../../docket/PlanDocket'
import { text as shared } from '../../docket/text'
import { degreesApart, plain, price, seams, temperature, three, volume } from '../../kit'
import type { DocketProps } from '../docketProps'
import { text } from './docketText'
import type { Answer, Carrier, Request } from './fields'
import { text as mix } from './text'

/** What to cook, how to soak, and which gaps of which hive. */
export function StripDocket({ answer: plan, request, slip }: DocketProps<Request, Answer>) {
  const carrier = request.carrier ?? 'strip'
  const made = volume(plan.liquor.volume_ml)
  const pot = volume(plan.vessel_ml)
  const piece = mix.piece[carrier]
  return (
    <PlanDocket
      slip={slip}
      plan={plan}
      title={text.title(mix.count(plan.strips, carrier))}
      sub={text.sub(recipeName(request))}
      steps={text.steps}
      totals={[
        [text.inPiece(piece), three(plan.strip_oad_g), 'g'],
        [text.byWeight, three(plan.liquor.oad_percent), '%'],
        [text.liquor, plain(Math.round(plan.liquor.grams)), `g · ${made.value} ${made.unit}`],
        [text.left, plain(Math.round(plan.leftover_g)), 'g'],
        [text.pot, pot.value, pot.unit],
        plan.cost && [text.costPiece(piece), price(plan.cost_of_strip ?? 0)],
      ]}
      then={{ title: text.then, lines: work(plan, carrier) }}
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
      how={how(plan)}
      minding={{
        splash: shared.splashOxalic,
        nevers: text.nevers,
        left: plan.leftover_g >= 0.5 ? text.leftIn(plain(Math.round(plan.leftover_g))) : '',
        keeping: [text.keep],
        rule: slip.rule,
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
function work(plan: Answer, carrier: Carrier): string[] {
  const out = []
  if (plan.acid_g > 0) {
    const fall = degreesApart(plan.dip_c)
    out.push(text.dip(temperature(plan.warm_to_c), fall, temperature(plan.highest_c)))
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
