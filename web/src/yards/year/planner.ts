import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { client, data, Problem } from '../../api/client'
import { addDays, useKept } from '../../kit'
import { text } from './text'

/** A treatment that is planned: by what conditions, and when. */
export interface Step {
  id: string
  under: string
  on: string
}

export interface Plan {
  id: string
  steps: Step[]
}

/** How many plans stand side by side, and how many treatments are in one. */
export const MOST_PLANS = 3
export const MOST_STEPS = 6
/** How far plans go. */
export const PLAN_DAYS = 365
/** That a treatment is put ahead of the last one, or of today. */
const AFTER = 14
/** How long dragging waits before it asks anew, ms. */
const PATIENCE = 120

const COLOURS = ['var(--act)', 'var(--drop)', 'var(--strip)']
export const colourOf = (i: number) => COLOURS[i] ?? 'var(--soft)'
export const NOTHING = 'var(--acid)'

const fresh = () => crypto.randomUUID()
const whole = (on: string) => /^\d{4}-\d\d-\d\d$/.test(on)

/** The plans of a colony as they are laid side by side, and what they come to. They outlive a reload. */
export function usePlanner(colony: string, today: string) {
  const kept = useKept<{ open: boolean; plans: Plan[] }>(`plan.${colony}`, () => ({ open: false, plans: [] }))
  const { open, plans } = kept.value
  const [dragging, setDragging] = useState(false)
  const last = useRef(0)
  const asked = plans.map((p) => ({
    steps: p.steps.filter((s) => whole(s.on)).map(({ under, on }) => ({ under, on })),
  }))
  const come = useQuery({
    queryKey: ['colonies', colony, 'what-if', asked, dragging],
    enabled: open,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) =>
      data(
        client.POST('/api/colonies/{id}/what-if', {
          params: { path: { id: colony } },
          body: { plans: [{ steps: [] }, ...asked], ...(dragging && { rough: true }) },
          signal,
        }),
      ),
  })
  const change = (id: string, of: (steps: Step[]) => Step[]) =>
    kept.update((v) => ({
      ...v,
      plans: v.plans.map((p) => (p.id === id ? { ...p, steps: of(p.steps) } : p)),
    }))
  return {
    open,
    plans,
    come,
    today,
    last: addDays(today, PLAN_DAYS),
    faults: come.error instanceof Problem ? come.error.faults : {},
    nameOf: (i: number) => text.plan(i),
    show: (is: boolean) => kept.update((v) => ({ ...v, open: is })),
    /** Puts another plan beside the others. */
    add: (steps: readonly Omit<Step, 'id'>[] = []) =>
      kept.update((v) => ({
        ...v,
        plans: [...v.plans, { id: fresh(), steps: steps.map((s) => ({ ...s, id: fresh() })) }].slice(
          0,
          MOST_PLANS,
        ),
      })),
    drop: (id: string) => kept.update((v) => ({ ...v, plans: v.plans.filter((p) => p.id !== id) })),
    /** Adds a treatment some time after the last one. */
    treat: (id: string, under: string) =>
      change(id, (steps) => {
        const after =
          steps
            .map((s) => s.on)
            .filter(whole)
            .sort()
            .at(-1) ?? today
        const on = addDays(after, AFTER)
        return [...steps, { id: fresh(), under, on: on < addDays(today, PLAN_DAYS) ? on : today }]
      }),
    move: (id: string, step: string, on: string) =>
      change(id, (steps) => steps.map((s) => (s.id === step ? { ...s, on } : s))),
    leave: (id: string, step: string) => change(id, (steps) => steps.filter((s) => s.id !== step)),
    /** While something is dragged answers are quick and rough, and not asked for at every pixel. */
    drag: (id: string, step: string, on: string) => {
      setDragging(true)
      const now = performance.now()
      if (now - last.current < PATIENCE) return
      last.current = now
      change(id, (steps) => steps.map((s) => (s.id === step ? { ...s, on } : s)))
    },
    let: (id: string, step: string, on: string) => {
      change(id, (steps) => steps.map((s) => (s.id === step ? { ...s, on } : s)))
      setDragging(false)
    },
  }
}

export type Planner = ReturnType<typeof usePlanner>
