import { client, type Schemas } from '../api/client'
import { Asking, date, Said, three, useSaving } from '../kit'
import { MiteGauge } from '../drawing/MiteGauge'
import { text } from './text'
import { changed } from './changed'
import { CountPhoto } from './CountPhoto'
import shared from './yards.module.css'
import styles from './CountList.module.css'

/** The counts of a colony, the newest first, with their intervals. */
export function CountList({ counts, helper }: { counts: readonly Schemas['MiteCount'][]; helper: boolean }) {
  const voiding = useSaving(
    async ({ id, reason }: { id: string; reason: string }) =>
      client.POST('/api/counts/{id}/void', { params: { path: { id } }, body: { reason } }),
    changed,
  )
  if (counts.length === 0) return <p className="quiet">{text.noCounts}</p>
  return (
    <>
      <Said message={voiding.message} />
      <ul className={shared.entries}>
        {counts.toReversed().map((c) => (
          <li key={c.id} className={c.void_reason === undefined ? undefined : styles.struck}>
            <span>{date(c.on ?? '')}</span>
            <b className={styles.count}>
              {text.plain(c.mites, c.kind === 'board' ? text.ofDays(c.days ?? 0) : text.ofBees(c.bees ?? 0))}
            </b>
            {c.void_reason === undefined ? (
              <>
                <MiteGauge standing={c.standing} />
                {c.standing && (
                  <small className="quiet">
                    {text.interval(three(c.standing.low), three(c.standing.high), text.units[c.kind])}
                    {c.standing.straddles && c.standing.stands === 'over' && ` · ${text.straddles}`}
                  </small>
                )}
                {c.marks && <CountPhoto count={c} />}
                {helper && (
                  <Asking
                    harm
                    action={text.void}
                    hint=""
                    question={text.voidWhy}
                    yes={text.void}
                    onYes={(reason) => voiding.save({ id: c.id, reason })}
                  />
                )}
              </>
            ) : (
              text.voided(c.void_reason)
            )}
          </li>
        ))}
      </ul>
    </>
  )
}
