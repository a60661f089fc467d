import Alert from '@mui/material/Alert'
import { useQuery } from '@tanstack/react-query'
import type { Schemas } from '../../api/client'
import { addDays, ask, Press, useStart } from '../../kit'
import page from '../../kit/page.module.css'
import { text as yards } from '../text'
import { ColonyYear } from './ColonyYear'
import type { Fan } from './Fans'
import { Planning } from './Planning'
import { colourOf, NOTHING, PLAN_DAYS, usePlanner } from './planner'
import { spanOf } from './scale'
import { text } from './text'
import styles from './YearPanel.module.css'

/** The days behind and ahead that are shown, and those while the year ahead is planned. */
const BEHIND = 300
const AHEAD = 200
const BEHIND_PLANS = 90

/** A colony's year, with what a model makes of its counts, and plans that are tried on it. */
export function YearPanel({ colony }: { colony: Schemas['ColonyWhole'] }) {
  const today = useStart().now.slice(0, 10)
  const alive = colony.ended_on === undefined
  const planner = usePlanner(colony.id, today)
  const asked = useQuery({
    ...ask(['colonies', colony.id, 'ahead'], '/api/colonies/{id}/ahead', { path: { id: colony.id } }),
    enabled: alive,
  })
  const ahead = alive ? asked.data : undefined
  const planning = ahead !== undefined && planner.open
  const fans: Fan[] = planning
    ? (planner.come.data?.plans ?? []).map((p, i) => ({
        name: i === 0 ? text.ifNothing : planner.nameOf(i - 1),
        colour: i === 0 ? NOTHING : colourOf(i - 1),
        points: p.points,
      }))
    : ahead
      ? [
          {
            name: text.ifNothing,
            colour: NOTHING,
            points: ahead.points.filter((p) => p.day >= today),
          },
        ]
      : []
  const scale = planning
    ? spanOf(addDays(today, -BEHIND_PLANS), addDays(today, PLAN_DAYS))
    : ahead
      ? spanOf(addDays(today, -BEHIND), addDays(today, AHEAD))
      : spanOf(addDays(today, -364), today)
  return (
    <section className={page.panel} data-ahead={ahead ? '' : undefined}>
      {ahead && (
        <div className={styles.lead}>
          <h2>{ahead.words}</h2>
          {planner.open ? (
            <Press outlined says={text.stop} onPress={() => planner.show(false)} data-close-plans />
          ) : (
            <Press outlined says={text.tryPlans} onPress={() => planner.show(true)} data-plan-year />
          )}
          <p className="quiet">{ahead.rests_on}</p>
        </div>
      )}
      {ahead?.misfit && (
        <Alert severity="warning" variant="outlined">
          {ahead.misfit}
        </Alert>
      )}
      <ColonyYear
        colony={colony}
        scale={scale}
        today={today}
        ahead={ahead}
        fans={fans}
        planner={planning ? planner : undefined}
      />
      <p className="quiet">{ahead ? text.hint : yards.yearHint}</p>
      {ahead && ahead.telling.length > 0 && !planning && (
        <p data-telling>
          <b>{text.telling}:</b> {ahead.telling.join(' ')}
        </p>
      )}
      {planning && <Planning colony={colony} planner={planner} />}
    </section>
  )
}
