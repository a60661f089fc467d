import { Fragment } from 'react'
import { Advice, Docket, DocketLine, Gear, Total, Totals } from '../../docket/Docket'
import { fixed, plain, seams, temperature, three, volume, type System } from '../../units/format'
import { useUnits } from '../../units/units'
import { drawing } from './Colonies'
import { text } from './docketText'
import { shownLines } from './lines'
import type { Device } from './draft'
import styles from './mix.module.css'
import type { PlanRequest } from './request'
import { text as mix } from './text'
import type { Plan } from './usePlan'

interface Props {
  plan: Plan
  request: PlanRequest
  place: string
  rule: string
  when: string
  busy?: boolean
}

/** What to weigh, in what order, and who gets what: on the screen, on paper and in a kept batch. */
export function MixDocket({ plan, request, place, rule, when, busy }: Props) {
  const { system } = useUnits()
  const made = volume(plan.volume_ml, system)
  const bought = request.hold.kind === 'ready_to_use'
  const s = plan.strength
  return (
    <Docket
      title={(bought ? text.pourFor : text.weighFor)(`${made.value} ${made.unit}`)}
      sub={text.sub(strengthName(request), system === 'us' ? `${plain(Math.round(plan.volume_ml))} mL` : '')}
      origin={text.origin(place, when)}
      busy={busy}
    >
      <div className={styles.sheet}>
        <div className={styles.weighing}>
          {shownLines(plan, system).map((l, i) => (
            <Fragment key={i}>
              {l.gear.length > 0 && <Gear label={text.gearLabel} pieces={l.gear} />}
              <DocketLine number={i + 1} {...l} />
            </Fragment>
          ))}
          {s.g_per_l > 0 && (
            <Totals>
              <Total label={text.dihydrate} value={three(s.percent_wv_oad)} unit="% w/v" />
              <Total label={text.anhydrous} value={three(s.percent_wv_oaa)} unit="% w/v" />
              <Total label={text.inSeam} value={three(s.mg_per_seam_oad)} unit="mg" />
              <Total
                label={text.atCap(plain(request.rule?.cap_ml ?? 50))}
                value={three(s.g_per_colony_oad)}
                unit="g"
              />
              <Total label={text.perLitre} value={three(s.g_per_l)} unit="g/L" />
              {s.percent_ww_oad !== undefined && (
                <Total label={text.byWeight} value={three(s.percent_ww_oad)} unit="% w/w" />
              )}
              {plan.cost && <Total label={text.cost} value={fixed(plan.cost.total, 2)} unit="" />}
              {plan.cost && <Total label={text.costColony} value={fixed(plan.cost.per_colony, 2)} unit="" />}
            </Totals>
          )}
          <Advice
            title={text.notes}
            harm
            lines={plan.notes.filter((n) => n.level === 'warn').map((n) => n.text)}
          />
        </div>
        <div className={styles.giving}>
          <Doses plan={plan} device={request.applicator?.device ?? 'syringe'} />
          <Advice title="" lines={plan.notes.filter((n) => n.level !== 'warn').map((n) => n.text)} />
        </div>
        <div className={styles.minding}>
          <Advice title={text.splash} harm lines={[text.splashes]} />
          {!bought && <Advice title={text.never} harm lines={[text.nevers]} />}
          <Advice title={text.leftover} lines={leftover(plan)} />
          <Advice title={text.keeping} lines={bought ? [text.lawCard] : [keeping(plan, system)]} />
          {!bought && (
            <Advice title={text.law} lines={[rule ? `${text.laws} ${text.ruleNoted(rule)}` : text.laws]} />
          )}
        </div>
      </div>
    </Docket>
  )
}

function Doses({ plan, device }: { plan: Plan; device: Device }) {
  if (plan.doses.length === 0) return null
  return (
    <>
      <h3 className={styles.dosesHead}>{text.doses}</h3>
      <Gear label={text.giving} pieces={plan.give_gear.map((g) => text.gear[g] ?? g)} />
      <table className={styles.doses} aria-label={text.doses}>
        <thead>
          <tr>
            {text.doseHead.map((h) => (
              <th key={h} scope="col">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {plan.doses.map((d, i) => (
            <tr key={i}>
              <th scope="row">{d.name}</th>
              <td>{seams(d.seams)}</td>
              <td>{drawing(d.draws, device, text.draw)}</td>
              <td>
                <b>{plain(d.ml)}</b>
                {d.boxes.length > 1 && <small> {d.boxes.map((b) => plain(b.ml)).join(' + ')}</small>}
              </td>
            </tr>
          ))}
          <tr className={styles.sum}>
            <th scope="row">{text.sum}</th>
            <td>{seams(plan.doses.reduce((sum, d) => sum + d.seams, 0))}</td>
            <td />
            <td>
              <b>{plain(plan.given_ml)}</b>
            </td>
          </tr>
        </tbody>
      </table>
    </>
  )
}

function strengthName(request: PlanRequest): string {
  if (request.hold.kind === 'ready_to_use') return text.byCard
  const aim = request.strength
  if (aim?.by === 'school') return mix.schoolNames[aim.school ?? ''] ?? ''
  return aim?.by === 'packet' ? text.asPacket : text.own
}

function leftover(plan: Plan): string[] {
  const n = plan.neutralise
  const lines = []
  if (n.leftover_g > 0)
    lines.push(
      text.neutralise(
        `${plain(Math.round(plan.leftover_ml))} mL`,
        text.grams(three(n.leftover_g)),
        `${three(n.leftover_gas_l)} L`,
      ),
    )
  if (n.whole_g > 0) lines.push(text.neutraliseAll(text.grams(three(n.whole_g))))
  return lines
}

function keeping(plan: Plan, system: System): string {
  const at = (celsius: number) => temperature(celsius, system)
  // Rounded up: at the temperature written it is still clear.
  const clear = Math.ceil(plan.clarity?.saturation_c ?? 0)
  return clear > 0 ? `${text.keep(at)} ${text.clearTo(at(clear))}` : text.keep(at)
}
