import {
  ask,
  date,
  named,
  Pick,
  plain,
  price,
  queries,
  tenths,
  useKept,
  Waiting,
  yardQuery,
  yardsQuery,
} from '../kit'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { FACTS } from '../method/facts'
import { client, data, type Schemas } from '../api/client'
import { Vessel } from '../drawing/Vessel'
import shared from './book.module.css'
import styles from './LedgerPanel.module.css'
import { Entries } from './Entries'
import { EntryForm } from './EntryForm'
import { Portions } from './batches/Portions'
import { text } from './text'

type Batch = Schemas['Batch']

/** What is left of a batch: its account, what is in vessels of its own, and what it cost. */
export function LedgerPanel({ batch }: { batch: Batch }) {
  const ledger = useQuery(
    ask(['batches', batch.id, 'ledger'], '/api/batches/{id}/entries', { path: { id: batch.id } }),
  )
  const colony = useKept(`entry.colony.${batch.id}`, () => '')
  if (!ledger.data) return <Waiting query={ledger} />
  const l = ledger.data
  const unit = text.units[l.unit]
  const kinds: Schemas['StockEntry']['kind'][] =
    batch.state === 'planned' ? ['made'] : ['used', 'spilled', 'discarded', 'found']
  return (
    <section className={styles.ledger} data-ledger>
      <h2>{text.ledger}</h2>
      <div className={styles.standing}>
        {l.unit === 'ml' && (
          <Vessel
            kind={FACTS[batch.method].vessel ?? 'jar'}
            volume={Math.max(0, l.left)}
            taken={0}
            figure={plain(Math.round(l.left))}
            unit={unit}
          />
        )}
        <div>
          <p className={l.to_reconcile ? `${shared.left} ${shared.harm}` : shared.left} data-left>
            {tenths(l.left)} <small>{unit}</small>
          </p>
          {l.to_reconcile && <p className={shared.harm}>{text.reconcile}</p>}
          {l.use_by && l.left > 0 && <UseBy useBy={l.use_by} keeps={l.keeps} />}
          {l.cost && (
            <p>
              {text.costs(price(l.cost.total))}
              {l.cost.colonies ? text.costEach(price(l.cost.per_colony ?? 0), l.cost.colonies) : ''}
              {l.cost.unpriced.length > 0 && text.unpriced(l.cost.unpriced)}
            </p>
          )}
        </div>
      </div>
      <Entries entries={l.entries} unit={unit} />
      {batch.state !== 'discarded' && !batch.voided_at && (
        <EntryForm
          id={batch.id}
          kinds={kinds}
          unit={unit}
          colony={colony.value}
          extra={batch.state !== 'planned' && <ColonyPicker value={colony.value} onChange={colony.set} />}
          send={(body) =>
            data(client.POST('/api/batches/{id}/entries', { params: { path: { id: batch.id } }, body }))
          }
          onDone={() => {
            colony.putDown()
            return queries.invalidateQueries({ queryKey: ['batches'] })
          }}
        />
      )}
      {batch.state === 'made' && <Portions batch={batch} ledger={l} unit={unit} />}
    </section>
  )
}

/** Until when, told in a word where it presses. */
export function UseBy({ useBy, keeps }: { useBy: string; keeps: string | undefined }) {
  return (
    <p className={keeps === 'past' ? shared.harm : undefined}>
      {text.useBy(date(useBy))}
      {keeps === 'soon' && <b> · {text.soon}</b>}
      {keeps === 'past' && <b> · {text.past}</b>}
    </p>
  )
}

/** On which colony it was used; none for all of them together. */
function ColonyPicker({ value, onChange }: { value: string; onChange: (id: string) => void }) {
  const [yard, setYard] = useState('')
  const yards = useQuery(yardsQuery)
  const chosen = useQuery({ ...yardQuery(yard), enabled: yard !== '' })
  return (
    <div className={styles.picker}>
      <Pick
        label={text.onYard}
        value={yard}
        options={named(yards.data)}
        none={text.noColony}
        onChange={(id) => {
          setYard(id)
          onChange('')
        }}
      />
      {yard !== '' && (
        <Pick
          label={text.onColony}
          value={value}
          options={named(chosen.data?.stands)}
          none={text.wholeYard}
          onChange={onChange}
        />
      )}
    </div>
  )
}
