import type { TotalOf } from '../../docket/Docket'
import type { StepWords } from '../../docket/Lines'
import { PlanDocket } from '../../docket/PlanDocket'
import { text as shared } from '../../docket/text'
import { plain, tenths, three, volume } from '../../kit'
import type { DocketProps } from '../docketProps'
import { text } from './docketText'
import type { Answer, Request } from './fields'
import { text as mix } from './text'

/** What to let down, how, and who gets how much. */
export function PadDocket({ answer: plan, request, slip }: DocketProps<Request, Answer>) {
  const ready = request.hold.kind === 'ready_pads'
  const figure = (row: { ml?: number; pads?: number }) => plain((ready ? row.pads : row.ml) ?? 0)
  return (
    <PlanDocket
      slip={slip}
      plan={plan}
      title={titleOf(plan)}
      sub={text.sub(...subOf(plan, request))}
      steps={wordsOf(plan)}
      pieces={text.pads}
      totals={figures(plan)}
      head={ready ? text.headPads : text.head}
      rows={plan.given.map((g) => ({
        name: [g.alike > 1 ? text.each(g.alike) : g.name, g.wick_cm2 ? mix.wick(plain(g.wick_cm2)) : '']
          .filter(Boolean)
          .join(': '),
        cells: [String(g.combs), text.grams(three(g.formic_g))],
        figure: figure(g),
      }))}
      sum={{
        cells: ['', text.grams(three(plan.visit_formic_g))],
        figure: figure({ ml: plan.visit_ml, pads: plan.visit_pads }),
      }}
      how={how(plan)}
      minding={{
        splash: shared.splashFormic,
        nevers: text.nevers,
        left: plan.leftover_ml >= 0.5 ? mix.mL(plain(Math.round(plan.leftover_ml))) : '',
        keeping: [ready ? text.keepPads : text.keep],
        rule: ready ? undefined : slip.rule,
      }}
    />
  )
}

function titleOf(plan: Answer): string {
  if (!plan.dilution) return text.count(mix.pads(plan.visit_pads))
  const made = volume(plan.dilution.working_ml)
  const title = plan.dilution.water_g > 0 ? text.title : text.asIs
  return title(`${made.value} ${made.unit}`)
}

function subOf(plan: Answer, request: Request): string[] {
  if (!plan.dilution) return [request.hold.card?.name ?? '']
  return [
    text.of(tenths(plan.working_percent ?? 0)),
    mix.protocolNames[request.amount?.protocol ?? 'own'] ?? '',
  ]
}

/** Acid that is used as it was bought is not poured into water. */
const wordsOf = (plan: Answer): StepWords =>
  plan.dilution && plan.dilution.water_g === 0 ? { ...text.steps, stock: text.pouring } : text.steps

function figures(plan: Answer): (TotalOf | false | undefined)[] {
  const { dilution: d, course } = plan
  const poured = (label: string, ml: number): TotalOf => {
    const { value, unit } = volume(ml)
    return [label, value, unit]
  }
  const bottle = volume(course.bottle_ml ?? 0)
  const strength = (percent = 0, off = 0) =>
    off > 0 ? `${tenths(percent)} ± ${tenths(off)}` : tenths(percent)
  return [
    d && [text.used, strength(plan.working_percent, plan.working_off_percent), '%'],
    d && [text.stock, strength(plan.stock_percent, plan.stock_off_percent), '%'],
    plan.visit_ml > 0 && poured(text.visit, plan.visit_ml),
    plan.visit_formic_g > 0 && [text.visitAcid, three(plan.visit_formic_g), 'g'],
    d && d.shrinkage_ml >= 0.5 && [text.shrinks, plain(Math.round(d.shrinkage_ml)), 'mL'],
    course.working_ml !== undefined && poured(text.course, course.working_ml),
    course.bottles !== undefined && [
      text.bottles(`${bottle.value} ${bottle.unit}`),
      String(course.bottles),
      text.spare(course.bottles, plain(Math.round(course.spare_ml ?? 0))),
    ],
    d && plan.visit_pads > 0 && [text.sheets, String(plan.visit_pads)],
    !d && [text.course, String(course.pads ?? 0), text.pads],
  ]
}

/** How often, from which side, and what to heed in the yard. */
function how(plan: Answer): string[] {
  if (plan.given.length === 0) return []
  const { visits, days_apart, days } = plan.course
  return [`${text.visits(visits, days_apart, days)} ${text.from[plan.from] ?? ''}`, text.where]
}
