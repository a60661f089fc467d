import { useState, type KeyboardEvent, type PointerEvent } from 'react'
import { addDays, date, daysBetween } from '../../kit'
import styles from './PlanLane.module.css'
import { colourOf, PLAN_DAYS, type Plan, type Planner, type Step } from './planner'
import type { Scale } from './scale'
import { text } from './text'

/** How high the row of a plan is. */
export const PLAN_HIGH = 40
/** How much room its name takes beside a treatment. */
const NAMED = 96
/** How broad what is done in a day is drawn. */
const NARROW = 16
const KEYS: Record<string, number> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 7,
  PageDown: -7,
}

/** The plans on the axis of time, a row each: their treatments are dragged along it. */
export const PlanLane = ({ planner, scale, top }: { planner: Planner; scale: Scale; top: number }) =>
  planner.plans.map((plan, i) => (
    <g key={plan.id} transform={`translate(0 ${top + i * PLAN_HIGH})`}>
      <text className={styles.name} x={0} y={18} style={{ fill: colourOf(i) }}>
        {planner.nameOf(i)}
      </text>
      <path className={styles.line} d={`M${scale.x(planner.today)} 13H${scale.x(planner.last)}`} />
      {plan.steps.map((step) => (
        <Planned key={step.id} plan={plan} at={i} step={step} planner={planner} scale={scale} />
      ))}
    </g>
  ))

interface PlannedProps {
  plan: Plan
  at: number
  step: Step
  planner: Planner
  scale: Scale
}

function Planned({ plan, at, step, planner, scale }: PlannedProps) {
  const [held, hold] = useState<{ from: number; on: string }>()
  const { today, last } = planner
  const on = held?.on ?? step.on
  const told = planner.come.data?.plans[at + 1]?.steps.find((s) => s.under === step.under && s.on === step.on)
  const what = told ? text.methods[told.method] : (text.treatments[step.under] ?? '')
  const days = told?.out ? daysBetween(told.on, told.out) : 0
  const within = (day: string) => (day < today ? today : day > last ? last : day)
  const width = Math.max(NARROW, days * scale.day)
  // Of treatments close together the last one is named: the others stand below with their days.
  const crowded = plan.steps.some((s) => s.on > on && scale.x(s.on) < scale.x(on) + width + NAMED)
  const grab = (e: PointerEvent<SVGGElement>) => {
    e.currentTarget.setPointerCapture(e.pointerId)
    hold({ from: placeOf(e) - scale.x(step.on), on: step.on })
  }
  const drag = (e: PointerEvent<SVGGElement>) => {
    if (!held) return
    const day = within(scale.at(placeOf(e) - held.from))
    if (day === held.on) return
    hold({ ...held, on: day })
    planner.drag(plan.id, step.id, day)
  }
  const drop = () => {
    if (!held) return
    hold(undefined)
    planner.let(plan.id, step.id, held.on)
  }
  const press = (e: KeyboardEvent) => {
    const by = KEYS[e.key]
    if (by === undefined) return
    e.preventDefault()
    planner.move(plan.id, step.id, within(addDays(step.on, by)))
  }
  if (Number.isNaN(Date.parse(on))) return null
  return (
    <g
      className={styles.planned}
      role="slider"
      tabIndex={0}
      aria-label={text.slider(text.treatments[step.under] ?? what, planner.nameOf(at))}
      aria-valuemin={0}
      aria-valuemax={PLAN_DAYS}
      aria-valuenow={daysBetween(today, on)}
      aria-valuetext={date(on)}
      onPointerDown={grab}
      onPointerMove={drag}
      onPointerUp={drop}
      onPointerCancel={drop}
      onKeyDown={press}
      transform={`translate(${scale.x(on)} 0)`}
      data-planned={on}
    >
      <rect className={styles.hit} x={-6} y={-6} width={width + 12} height={PLAN_HIGH - 2} />
      <rect width={width} height={20} y={3} rx={4} style={{ stroke: colourOf(at) }} />
      {!crowded && (
        <text x={width + 5} y={18}>
          {what} {date(on).replace(/ \d{4}$/, '')}
        </text>
      )}
    </g>
  )
}

/** Where a pointer is, in the measure of the drawing. */
function placeOf(e: PointerEvent<SVGGElement>) {
  const { left, width } = e.currentTarget.ownerSVGElement!.getBoundingClientRect()
  return ((e.clientX - left) / width) * e.currentTarget.ownerSVGElement!.viewBox.baseVal.width
}
