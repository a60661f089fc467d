import { ChartsContainer } from '@mui/x-charts/ChartsContainer'
import { ChartsTooltip } from '@mui/x-charts/ChartsTooltip'
import { ChartsXAxis } from '@mui/x-charts/ChartsXAxis'
import { ChartsYAxis } from '@mui/x-charts/ChartsYAxis'
import { ScatterPlot } from '@mui/x-charts/ScatterChart'
import { useXScale, useYScale } from '@mui/x-charts/hooks'
import type { Schemas } from '../api/client'
import { date, three } from '../kit'
import { text } from './text'
import page from '../kit/page.module.css'

type Count = Schemas['MiteCount']

interface Props {
  counts: readonly Count[]
  /** Of colonies by their ids, where several are shown. */
  names?: Record<string, string>
}

/** How the mites went: every count with its 95 % interval, beside the line of its season. */
export default function CountChart({ counts, names }: Props) {
  const told = counts.filter((c) => c.standing && c.void_reason === undefined)
  return (
    <section className={page.panel}>
      {(['wash', 'board'] as const).map((kind) => {
        const of = told.filter((c) => c.kind === kind)
        return of.length > 0 && <Chart key={kind} kind={kind} counts={of} names={names} />
      })}
      <p className="quiet">{text.chartHint}</p>
    </section>
  )
}

function Chart({
  kind,
  counts,
  names,
}: {
  kind: 'wash' | 'board'
  counts: readonly Count[]
  names: Props['names']
}) {
  const days = counts.map((c) => Date.parse(c.on ?? ''))
  const first = Math.min(...days)
  const last = Math.max(...days)
  // Hives counted on one day have no time to show: they stand side by side, under their names.
  const row = names && first === last
  const margin = Math.max(7 * 86_400_000, (last - first) * 0.05)
  // Hives counted on one day stand side by side.
  const beside = (i: number) => {
    const same = days.flatMap((d, k) => (d === days[i] ? [k] : []))
    return days[i]! + (same.indexOf(i) - (same.length - 1) / 2) * (last - first + 2 * margin) * 0.009
  }
  const points = counts.map((c, i) => ({ id: c.id, x: row ? i : beside(i), y: c.standing!.rate }))
  const highest = Math.max(
    ...counts.map((c) => Math.max(c.standing!.high, (c.standing!.threshold ?? 0) * 1.2)),
  )
  return (
    <figure style={{ margin: 0 }}>
      <figcaption>
        <h2>
          {text.chart[kind]} {row && <small className="quiet">{date(counts[0]?.on ?? '')}</small>}
        </h2>
      </figcaption>
      <ChartsContainer
        height={210}
        margin={{ left: 8, right: 16, top: 10, bottom: 4 }}
        skipAnimation
        series={[
          {
            type: 'scatter',
            data: points,
            markerSize: 4.5,
            color: 'var(--ink)',
            valueFormatter: (_, { dataIndex }) => {
              const c = counts[dataIndex]!
              const name = names?.[c.colony_id]
              const range = text.interval(three(c.standing!.low), three(c.standing!.high), text.units[kind])
              return `${name ? `${name}: ` : ''}${three(c.standing!.rate)} (${range})`
            },
          },
        ]}
        xAxis={[
          row
            ? {
                scaleType: 'linear',
                min: -0.5,
                max: counts.length - 0.5,
                tickInterval: counts.map((_, i) => i),
                valueFormatter: (i: number) => names[counts[i]?.colony_id ?? ''] ?? '',
              }
            : {
                scaleType: 'time',
                min: first - margin,
                max: last + margin,
                valueFormatter: (v: number) => date(new Date(v).toISOString()),
                tickNumber: 5,
              },
        ]}
        yAxis={[{ min: 0, max: highest * 1.05, width: 34 }]}
      >
        <Intervals counts={counts} at={points.map((p) => p.x)} />
        <ScatterPlot />
        <ChartsXAxis />
        <ChartsYAxis />
        <ChartsTooltip trigger="item" />
      </ChartsContainer>
    </figure>
  )
}

/** The intervals of all counts as bars, and the threshold that each was held against. */
function Intervals({ counts, at }: { counts: readonly Count[]; at: readonly number[] }) {
  const x = useXScale<'time'>()
  const y = useYScale<'linear'>()
  return counts.map((c, i) => {
    const middle = x(at[i]!)
    const { low, high, threshold, stands } = c.standing!
    return (
      <g key={c.id}>
        <path
          d={`M${middle} ${y(low)}V${y(high)}`}
          stroke={stands === 'over' ? 'var(--acid)' : 'var(--act)'}
          strokeWidth={3}
          strokeLinecap="round"
          opacity={0.55}
        />
        {threshold !== undefined && (
          <path
            d={`M${middle - 9} ${y(threshold)}h18`}
            stroke="var(--ink)"
            strokeWidth={1.6}
            strokeDasharray="4 3"
          />
        )}
      </g>
    )
  })
}
