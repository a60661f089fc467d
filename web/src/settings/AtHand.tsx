import { produce } from 'immer'
import { client, data, type Schemas } from '../api/client'
import { Faults, may, Press, queries, Said, useKept, useSaving, useStart } from '../kit'
import page from '../kit/page.module.css'
import { Balances } from '../method/balances/Balances'
import { adoptBalances, readBalances } from '../method/balances/balances'
import { text } from './text'

/** The balances of the operation: the bench begins with these. */
export function AtHand({ balances }: { balances: readonly Schemas['BenchBalance'][] }) {
  const helper = may(useStart().me?.role, 'helper')
  const kept = useKept('settings.balances', () => adoptBalances(balances))
  const read = readBalances(kept.value)
  const saving = useSaving(
    () => data(client.PUT('/api/balances', { body: { balances: read.balances } })),
    (saved) => {
      kept.putDown()
      queries.setQueryData(['balances'], saved)
    },
  )
  const faults = { ...saving.faults, ...read.faults }
  return (
    <section className={page.form} data-balances>
      <h2>{text.balances}</h2>
      <p className="quiet">{text.balancesHint}</p>
      <Faults value={faults}>
        <Balances
          of={kept.value}
          change={(recipe) => kept.update((b) => produce(b, recipe))}
          faults={faults}
        />
      </Faults>
      <Said message={saving.message} />
      {helper && (
        <Press
          outlined
          says={text.saveBalances}
          off={saving.busy || Object.keys(read.faults).length > 0}
          onPress={() => saving.save()}
        />
      )}
      {saving.done && <p role="status">{text.saved}</p>}
    </section>
  )
}
