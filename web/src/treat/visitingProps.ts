import type { Schemas } from '../api/client'
import type { Amount, Hive } from '../method/amount'
import type { Application } from '../outbox/outbox'
import type { Jar } from './useJar'

/** What a visit to one hive has to go by. */
export interface VisitingProps {
  round: Schemas['Visit']
  colony: Schemas['VisitColony']
  hive: Hive
  amount: Amount
  jar: Jar
  records: readonly Application[]
  onHive: (hive: Hive) => void
  onUndo: (record: Application) => void
  onWrite: (what: Partial<Application>) => void
}
