import { Docket, Total, Totals } from '../../docket/Docket'
import { Lines } from '../../docket/Lines'
import { Asides, Minding, Warnings } from '../../docket/Minding'
import { GivingTable, Sheet } from '../../docket/Sheet'
import { text as shared } from '../../docket/text'
import { fixed, plain, seams, temperature, three, volume, type System } from '../../kit/format'
import { useUnits } from '../../kit/units'
import type { DocketProps } from '../docketProps'
import { text } from './docketText'
import { drawing } from './draws'
import type { Answer, Device, Request } from './fields'
import { text as mix } from './text'

/** What to weigh, in what order, and who gets what: on the screen, on paper and in a saved batch. */
export function DribbleDocket({
  answer: plan,
  request,
  place,
  rule,
  when,
  busy,
}: DocketProps<Request, Answer>) {
  const { system } = useUnits()
  const made = volume(plan.volume_ml, system)
  const bought = request.hold.kind === 'ready_to_use'
  return (
    <Docket
      title={(bought ? text.pourFor : text.weighFor)(`${made.value} ${made.unit}`)}
      sub={text.sub(strengthName(request), system === 'us' ? `${plain(Math.round(plan.volume_ml))} mL` : '')}
      origin={shared.origin(place, when)}
      busy={busy}
    >
      <Sheet
        weighing={
          <>
            <Warnings notes={plan.notes} />
            <Lines lines={plan.lines} words={text.steps} pieces={text.tablets} />
            <Strengths plan={plan} />
          </>
        }
        giving={
          <>
            <Doses plan={plan} device={request.applicator?.device ?? 'syringe'} />
            <Asides notes={plan.notes} />
          </>
        }
        minding={
          <Minding
            splash={shared.splashOxalic}
            nevers={bought ? undefined : text.nevers}
            left={plan.leftover_ml > 0 ? `${plain(Math.round(plan.leftover_ml))} mL` : ''}
            neutralise={plan.neutralise}
            aftercare={text.aftercare}
            keeping={bought ? [shared.lawCard] : [keeping(plan, system)]}
            rule={bought ? undefined : rule}
          />
        }
      />
    </Docket>
  )
}

function Strengths({ plan }: { plan: Answer }) {
  const s = plan.strength
  if (s.g_per_l === 0) return null
  return (
    <Totals>
      <Total label={text.dihydrate} value={three(s.percent_wv_oad)} unit="% w/v" />
      <Total label={text.anhydrous} value={three(s.percent_wv_oaa)} unit="% w/v" />
      <Total label={text.inSeam} value={three(s.mg_per_seam_oad)} unit="mg" />
      <Total label={text.atCap(plain(s.cap_ml))} value={three(s.g_per_colony_oad)} unit="g" />
      <Total label={text.perLitre} value={three(s.g_per_l)} unit="g/L" />
      {s.percent_ww_oad !== undefined && (
        <Total label={text.byWeight} value={three(s.percent_ww_oad)} unit="% w/w" />
      )}
      {plan.cost && <Total label={shared.cost} value={fixed(plan.cost.total, 2)} unit="" />}
      {plan.cost && <Total label={shared.costColony} value={fixed(plan.cost.per_colony, 2)} unit="" />}
    </Totals>
  )
}

function Doses({ plan, device }: { plan: Answer; device: Device }) {
  return (
    <GivingTable
      gear={plan.give_gear}
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
    />
  )
}

function strengthName(request: Request): string {
  if (request.hold.kind === 'ready_to_use') return text.byCard
  const aim = request.strength
  if (aim?.by === 'protocol') return mix.protocolNames[aim.protocol ?? ''] ?? ''
  return aim?.by === 'packet' ? text.asPacket : text.own
}

function keeping(plan: Answer, system: System): string {
  const at = (celsius: number) => temperature(celsius, system)
  // Rounded up: at the temperature written it is still clear.
  const clear = Math.ceil(plan.clarity?.saturation_c ?? 0)
  return clear > 0 ? `${text.keep(at)} ${text.clearTo(at(clear))}` : text.keep(at)
}
