import { Advice, Docket, Total, Totals } from '../../docket/Docket'
import { Lines, type StepWords } from '../../docket/Lines'
import { Asides, Minding, Warnings } from '../../docket/Minding'
import { GivingTable, Sheet } from '../../docket/Sheet'
import { text as shared } from '../../docket/text'
import { fixed, plain, tenths, three, volume, type System } from '../../kit/format'
import { useUnits } from '../../kit/units'
import type { DocketProps } from '../docketProps'
import { text } from './docketText'
import type { Answer, Request } from './fields'
import { text as mix } from './text'

/** What to let down, how, and who gets how much: on the screen, on paper and in a saved batch. */
export function PadDocket({ answer: plan, request, place, rule, when, busy }: DocketProps<Request, Answer>) {
  const { system } = useUnits()
  const ready = request.hold.kind === 'ready_pads'
  return (
    <Docket
      title={titleOf(plan, system)}
      sub={text.sub(...subOf(plan, request))}
      origin={shared.origin(place, when)}
      busy={busy}
    >
      <Sheet
        weighing={
          <>
            <Warnings notes={plan.notes} />
            <Lines lines={plan.lines} words={wordsOf(plan)} pieces={text.pads} />
            <Figures plan={plan} system={system} />
          </>
        }
        giving={
          <>
            <Giving plan={plan} ready={ready} />
            <Advice title={shared.giving} lines={how(plan)} />
            <Asides notes={plan.notes} />
          </>
        }
        minding={
          <Minding
            splash={shared.splashFormic}
            nevers={text.nevers}
            left={plan.leftover_ml >= 0.5 ? mix.mL(plain(Math.round(plan.leftover_ml))) : ''}
            neutralise={plan.neutralise}
            keeping={[ready ? text.keepPads : text.keep]}
            rule={ready ? undefined : rule}
          />
        }
      />
    </Docket>
  )
}

function titleOf(plan: Answer, system: System): string {
  if (!plan.dilution) return text.count(mix.pads(plan.visit_pads))
  const made = volume(plan.dilution.working_ml, system)
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

function Figures({ plan, system }: { plan: Answer; system: System }) {
  const { dilution: d, course } = plan
  const poured = (ml: number) => volume(ml, system)
  const bottle = poured(course.bottle_ml ?? 0)
  const strength = (percent = 0, off = 0) =>
    off > 0 ? `${tenths(percent)} ± ${tenths(off)}` : tenths(percent)
  return (
    <Totals>
      {d && (
        <Total label={text.used} value={strength(plan.working_percent, plan.working_off_percent)} unit="%" />
      )}
      {d && (
        <Total label={text.stock} value={strength(plan.stock_percent, plan.stock_off_percent)} unit="%" />
      )}
      {plan.visit_ml > 0 && (
        <Total label={text.visit} value={poured(plan.visit_ml).value} unit={poured(plan.visit_ml).unit} />
      )}
      {plan.visit_formic_g > 0 && (
        <Total label={text.visitAcid} value={three(plan.visit_formic_g)} unit="g" />
      )}
      {d && d.shrinkage_ml >= 0.5 && (
        <Total label={text.shrinks} value={plain(Math.round(d.shrinkage_ml))} unit="mL" />
      )}
      {course.working_ml ? (
        <Total
          label={text.course}
          value={poured(course.working_ml).value}
          unit={poured(course.working_ml).unit}
        />
      ) : null}
      {course.bottles ? (
        <Total
          label={text.bottles(`${bottle.value} ${bottle.unit}`)}
          value={String(course.bottles)}
          unit={text.spare(plain(Math.round(course.spare_ml ?? 0)))}
        />
      ) : null}
      {d && plan.visit_pads > 0 && <Total label={text.sheets} value={String(plan.visit_pads)} unit="" />}
      {!d && <Total label={text.course} value={String(course.pads ?? 0)} unit={text.pads} />}
      {plan.cost && <Total label={shared.cost} value={fixed(plan.cost.total, 2)} unit="" />}
      {plan.cost && <Total label={shared.costColony} value={fixed(plan.cost.per_colony, 2)} unit="" />}
    </Totals>
  )
}

function Giving({ plan, ready }: { plan: Answer; ready: boolean }) {
  const figure = (row: { ml?: number; pads?: number }) => plain((ready ? row.pads : row.ml) ?? 0)
  return (
    <GivingTable
      gear={plan.give_gear}
      head={ready ? text.headPads : text.head}
      rows={plan.given.map((g) => ({
        name: g.alike > 1 ? text.each(g.alike) : g.name,
        cells: [String(g.combs), text.grams(three(g.formic_g))],
        figure: figure(g),
      }))}
      sum={{
        cells: ['', text.grams(three(plan.visit_formic_g))],
        figure: figure({ ml: plan.visit_ml, pads: plan.visit_pads }),
      }}
    />
  )
}

/** How often, from which side, and what to heed in the yard. */
function how(plan: Answer): string[] {
  if (plan.given.length === 0) return []
  const { visits, days_apart, days } = plan.course
  return [`${text.visits(visits, days_apart, days)} ${text.from[plan.from] ?? ''}`, text.where]
}
