import { produce } from 'immer'
import { client, type Schemas } from '../api/client'
import { day, clock, Entries, Said, stale, temperature, useSaving, useStart } from '../kit'
import page from '../kit/page.module.css'
import { ownPanel } from './forms'
import { text } from './text'

/** How who is here reads figures and days: it holds as soon as it is chosen. */
export function Own({ settings }: { settings: Schemas['Settings'] }) {
  const { now } = useStart()
  const saving = useSaving(
    (own: Schemas['OwnForm']) => client.PUT('/api/settings/own', { body: own }),
    () => stale('settings', 'start'),
  )
  const own = { units: '', hours: '', dates: '', ...settings.own }
  return (
    <section className={page.form} data-own>
      <h2>{text.own}</h2>
      <p className="quiet">{text.ownHint}</p>
      <Entries
        of={ownPanel(settings)}
        typed={saving.busy ? { ...own, ...saving.tried } : own}
        change={(recipe) =>
          saving.save(
            Object.fromEntries(Object.entries(produce(own, recipe)).filter(([, chosen]) => chosen !== '')),
          )
        }
      />
      <p data-sample>
        <span className="quiet">{text.sample}</span> {day(now)}, {clock(now)} · {temperature(8)}
      </p>
      <Said message={saving.message} />
    </section>
  )
}
