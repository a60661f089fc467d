import { PlanDocket } from '../../docket/PlanDocket'
import { text as shared } from '../../docket/text'
import { plain, seams, temperature, three, volume } from '../../kit'
import type { DocketProps } from '../docketProps'
import { text } from './docketText'
import { drawing } from './draws'
import type { Answer, Request } from './fields'
import { text as mix } from './text'

export function DribbleDocket({ answer: plan, request, slip }: DocketProps<Request, Answer>) {
  const made = volume(plan.volume_ml)
  const bought = request.hold.kind === 'ready_to_use'
  const device = request.applicator?.device ?? 'syringe'
  const s = plan.strength
  return (
    <PlanDocket
      slip={slip}
      plan={plan}
      title={(bought ? text.pourFor : text.weighFor)(`${made.value} ${made.unit}`)}
      sub={text.sub(strengthName(request))}
      steps={text.steps}
      pieces={text.tablets}
      totals={
        s.g_per_l > 0
          ? [
              [text.dihydrate, three(s.percent_wv_oad), '% w/v'],
              [text.anhydrous, three(s.percent_wv_oaa), '% w/v'],
              [text.inSeam, three(s.mg_per_seam_oad), 'mg'],
              [text.atCap(plain(s.cap_ml)), three(s.g_per_colony_oad), 'g'],
              [text.perLitre, three(s.g_per_l), 'g/L'],
              s.percent_ww_oad !== undefined && [text.byWeight, three(s.percent_ww_oad), '% w/w'],
            ]
          : []
      }
      head={text.doseHead}
      rows={plan.doses.map((d) => ({
        name: d.name,
        cells: [seams(d.seams), drawing(d.draws, device)],
        figure: plain(d.ml),
        parts: [
          d.boxes.length > 1 && d.boxes.map((b) => plain(b.ml)).join(' + '),
          d.mg > 0 && `${plain(Math.round(d.mg))} mg`,
        ]
          .filter(Boolean)
          .join(' · '),
      }))}
      sum={{
        cells: [seams(plan.doses.reduce((sum, d) => sum + d.seams, 0)), ''],
        figure: plain(plan.given_ml),
      }}
      minding={{
        splash: shared.splashOxalic,
        nevers: bought ? undefined : text.nevers,
        left: plan.leftover_ml > 0 ? `${plain(Math.round(plan.leftover_ml))} mL` : '',
        aftercare: text.aftercare,
        keeping: bought ? [shared.lawCard] : [keeping(plan)],
        rule: bought ? undefined : slip.rule,
      }}
    />
  )
}

function strengthName(request: Request): string {
  if (request.hold.kind === 'ready_to_use') return text.byCard
  const aim = request.strength
  if (aim?.by === 'protocol') return mix.protocolNames[aim.protocol ?? ''] ?? ''
  return aim?.by === 'packet' ? text.asPacket : text.own
}

function keeping(plan: Answer): string {
  const at = (celsius: number) => temperature(celsius)
  // Rounded up: at the temperature written it is still clear.
  const clear = Math.ceil(plan.clarity?.saturation_c ?? 0)
  return clear > 0 ? `${text.keep(at)} ${text.clearTo(at(clear))}` : text.keep(at)
}
