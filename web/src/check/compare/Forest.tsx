import type { Schemas } from '../../api/client'
import { Mark } from '../../drawing/Mark'
import { Press } from '../../kit'
import page from '../../kit/page.module.css'
import { Interval } from '../Interval'
import outcomes from '../Outcome.module.css'
import { percent } from '../share'
import styles from './Forest.module.css'
import { label, told } from './group'
import { text as check } from '../text'
import { text } from './text'

/** The groups beneath each other, each with its share and interval on the same line. */
export function Forest({ compare, keeper }: { compare: Schemas['Compare']; keeper: boolean }) {
  const { groups, comparison } = compare
  if (groups.length === 0) return <p className="quiet">{text.none}</p>
  return (
    <section className={page.panel}>
      <div className={page.head}>
        <h2>{comparison?.name ?? text.killed}</h2>
        <span className="quiet">
          {compare.basis && text.basis[compare.basis]}
          {comparison &&
            ` · ${comparison.deal ? text.dealt(comparison.made_on) : text.sorted(comparison.made_on)}`}
        </span>
      </div>
      <ul className={styles.rows}>
        {groups.map((g) => (
          <li key={g.key} data-group={label(g)} data-outcome={g.result?.outcome}>
            <span className={styles.name}>
              {g.method && <Mark method={g.method} />}
              <span>
                <b>{label(g)}</b>
                <small className="quiet">{members(g, comparison)}</small>
                {told(g) && g.result && (
                  <small className="quiet">{check.mites(g.result.before, g.result.after)}</small>
                )}
                {g.basis && g.basis !== compare.basis && <small>{text.otherBasis[g.basis]}</small>}
              </span>
            </span>
            {told(g) && g.result ? (
              <>
                <Interval result={g.result} wide />
                <span className={styles.figure}>
                  <b className={outcomes[g.result.outcome]}>{percent(Math.max(0, g.result.share))} %</b>
                  <small className="quiet">
                    {g.result.words}
                    {g.result.few && ` · ${text.few}`}
                  </small>
                </span>
              </>
            ) : (
              <span className={styles.untold}>
                {g.colonies.length > 0 ? text.notTold : text.nothingGiven}
                {g.colonies.length === 0 && comparison && keeper && (
                  <Press small outlined says={text.treatGroup} to={jobOf(comparison, g.key)} />
                )}
              </span>
            )}
          </li>
        ))}
      </ul>
      {groups.some(told) && <Axis />}
    </section>
  )
}

/** Which hives are told by it; of groups that nothing was given to, which ones they are. */
function members(g: Schemas['CompareGroup'], comparison?: Schemas['Comparison']) {
  const made = comparison?.groups.find((of) => of.name === g.key)
  if (g.colonies.length === 0 && made) return made.colonies.map((c) => c.name).join(', ')
  const names = g.colonies.length <= 8 ? `: ${g.colonies.join(', ')}` : ''
  return text.told(g.told, g.colonies.length) + names
}

/** Where a job for a group is made. */
function jobOf(comparison: Schemas['Comparison'], group: string) {
  const hives = comparison.groups.find((g) => g.name === group)?.colonies ?? []
  const asked = new URLSearchParams(hives.map((c) => ['hive', c.id]))
  asked.set('name', `${comparison.name}: ${group}`)
  return `/decide?${asked.toString()}`
}

/** The shares beneath the rows. */
function Axis() {
  return (
    <div className={styles.axis} aria-hidden>
      <svg viewBox="-4 0 258 14" preserveAspectRatio="xMinYMid">
        {[0, 50, 80, 100].map((share) => (
          <text key={share} x={2.5 * share} y="11" textAnchor={share === 100 ? 'end' : 'middle'}>
            {share}
            {share === 100 && ' %'}
          </text>
        ))}
      </svg>
    </div>
  )
}
