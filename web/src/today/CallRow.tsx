import { client, type Schemas } from '../api/client'
import { Mark } from '../drawing/Mark'
import { Row } from '../followup/Row'
import { text as doing } from '../followup/text'
import { useSkip } from '../followup/useSkip'
import { stale, told, useSaving } from '../kit'
import styles from './TodayPage.module.css'
import { text } from './text'

type Call = Schemas['Call']

/** What bees may have come to harm by, which comes before anything that is to be done. */
export const harms = (c: Call) => c.kind === 'double_dose' || c.kind === 'batch_wrong'

/** Something to see to that follows from no treatment: hives, or what stands on the shelf. */
export function CallRow({ call: c }: { call: Call }) {
  const hives = useSkip()
  const shelf = useSaving(
    async (body: Schemas['SkipCall']) => client.POST('/api/today/skip', { body }),
    () => stale('check'),
  )
  const skipping = c.hives ? hives : shelf
  return (
    <Row
      is={{ kind: c.kind, state: c.urgent ? 'due' : 'coming', yard: c.yard }}
      mark={harms(c) ? <b className={styles.harm}>!</b> : c.method && <Mark method={c.method} />}
      title={c.title}
      late={harms(c)}
      where={c.hives ? `${c.yard ?? ''} · ${doing.names(c.hives)}` : c.by && text.lastDay(c.by)}
      why={told(c.why)}
      act={{ says: text.acts[c.kind], to: placeOf(c), main: c.urgent ?? false }}
      skip={{
        save: (reason) =>
          c.hives
            ? hives.save({ key: c.key, colonies: c.hives.map((h) => h.id), reason })
            : shelf.save({ key: c.key, reason }),
        message: skipping.message,
        ...(harms(c) && { says: text.lookedAt }),
      }}
    />
  )
}

/** Where it is seen to. */
function placeOf(c: Call) {
  if (c.batch_id) return `/batches/${c.batch_id}`
  if (c.lot_id) return `/stock/${c.lot_id}`
  if (c.kind === 'treat')
    return `/decide?${new URLSearchParams(c.hives?.map((h) => ['hive', h.id])).toString()}`
  if (harms(c)) return '/register'
  return `/yards/${c.yard_id}/${c.kind === 'look_in' ? 'inspect' : 'count'}`
}
