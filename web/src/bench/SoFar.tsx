import { lotsQuery, named, Pick, plain, temperature, three, volume } from '../kit'
import { useQuery } from '@tanstack/react-query'
import { FACTS } from '../method/facts'
import type { Schemas } from '../api/client'
import { Docket, Totals } from '../docket/Docket'
import { text as docketText } from '../docket/text'
import shared from './bench.module.css'
import styles from './SoFar.module.css'
import { text } from './text'
import type { Happening, Run } from './useBench'

type Made = Schemas['BenchMade']

/** A strength in its unit, with how far it may be off. */
export const strengthOf = (m: Made) =>
  `${three(m.strength.value)} ${m.strength.off > 0 ? `± ${three(m.strength.off)} ` : ''}${text.strength[m.unit]}`

/** The same in both bases, by volume or by weight; nothing for formic acid, which has one. */
export const bases = (m: Made) =>
  m.unit === 'g_per_l'
    ? text.bases(three(m.percent_wv_oad ?? 0), three(m.percent_wv_oaa ?? 0), 'w/v')
    : m.unit === 'percent_oad'
      ? text.bases(three(m.percent_ww), three(m.percent_ww_oaa ?? 0), 'by weight')
      : ''

/** The docket of the bench: what is worn, what is in, and what comes of it. */
export function SoFar({ run, at }: { run: Run; at: Happening }) {
  const lines = run.acts.filter((a) => a.ingredient && (a.added.length > 0 || a.target_g))
  const begun = lines.some((a) => a.added.length > 0)
  const made = run.complete ? run.so_far : run.comes
  const poured = made && volume(made.volume_ml)
  return (
    <Docket title={text.soFar} sub={run.name} origin={docketText.origin(run.name, '')}>
      <Worn run={run} />
      <div className={styles.soFar} data-so-far>
        {lines.map((a) => (
          <p key={a.id} className={a.added.length > 0 ? styles.isIn : undefined}>
            <span>
              {a.added.length > 0 ? '✓ ' : ''}
              {a.name}
            </span>
            {a.added.length > 0 ? (
              <b>{plain(a.added.reduce((sum, t) => sum + t.grams, 0))} g</b>
            ) : (
              <span>{plain(a.rest?.total_g ?? a.target_g ?? 0)} g</span>
            )}
          </p>
        ))}
      </div>
      {made && begun && (
        <>
          <p className={styles.comes}>{run.complete ? text.made : text.comes}</p>
          <Band made={made} />
          <Totals
            of={[
              [text.strength[made.unit], three(made.strength.value), `± ${three(made.strength.off)}`],
              [text.stands[made.strength.stand], poured?.value ?? '', poured?.unit],
              made.sugar_per_water && [
                text.ratio,
                three(made.sugar_per_water.value),
                text.ratioStands[made.sugar_per_water.stand],
              ],
              run.jug_c !== undefined && [text.clearFrom, temperature(run.jug_c)],
            ]}
          />
          <p className={styles.bases}>{bases(made)}</p>
        </>
      )}
      <FromLots run={run} at={at} />
    </Docket>
  )
}

/** Where the strength lies beside what was wanted. */
export function Band({ made }: { made: Made }) {
  const { value, off, low, high } = made.strength
  const middle = (low + high) / 2
  const x = (v: number) => Math.max(4, Math.min(296, 150 + ((v - middle) / (high - low)) * 90))
  return (
    <svg
      className={styles.bandSmall}
      viewBox="0 0 300 34"
      aria-hidden="true"
      data-stand={made.strength.stand}
    >
      <path className={styles.axis} d="M4 17h292" />
      <rect className={shared.bandMark} x={x(low)} y={5} width={x(high) - x(low)} height={24} rx={3} />
      <path className={styles.spread} d={`M${x(value - off)} 17H${x(value + off)}`} />
      <circle className={styles.dot} cx={x(value)} cy={17} r={6} />
    </svg>
  )
}

/** The gear that is on by now. */
function Worn({ run }: { run: Run }) {
  const gear = run.acts.slice(0, run.at + 1).findLast((a) => a.gear)?.gear
  return (
    <div className={styles.worn}>
      <h3>{text.wear}</h3>
      {gear ? (
        <ul className={styles.chips}>
          {gear.map((g) => (
            <li key={g}>{docketText.gear[g] ?? g}</li>
          ))}
        </ul>
      ) : (
        <p className="quiet">{text.wearNone}</p>
      )}
      {gear && (
        <details>
          <summary>{docketText.splash}</summary>
          <p>{FACTS[run.method].splash}</p>
        </details>
      )}
    </div>
  )
}

/** Which lot each ingredient comes from. */
function FromLots({ run, at }: { run: Run; at: Happening }) {
  const lots = useQuery(lotsQuery)
  const offered = run.lots.filter((l) => lots.data?.some((x) => x.ingredient === l.ingredient))
  return offered.map((l) => (
    <label key={l.ingredient} className={styles.lot}>
      <span>{text.from(text.lots[l.ingredient] ?? l.ingredient)}</span>
      <Pick
        label={text.from(text.lots[l.ingredient] ?? l.ingredient)}
        value={l.lot_id ?? 'none'}
        options={{ none: text.noLot, ...named(lots.data?.filter((x) => x.ingredient === l.ingredient)) }}
        onChange={(answer) => void at.happen({ kind: 'lot', act: l.ingredient, answer })}
      />
    </label>
  ))
}
