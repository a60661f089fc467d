import { produce } from 'immer'
import { client, data, type Schemas } from '../api/client'
import {
  adopt,
  begin,
  Field,
  Form,
  may,
  Press,
  queries,
  Said,
  stale,
  temperatures,
  useForm,
  useKept,
  useSaving,
  useStart,
} from '../kit'
import page from '../kit/page.module.css'
import { operationPanel, type OperationKey } from './forms'
import { settingsQuery } from './query'
import styles from './settings.module.css'
import { text } from './text'

type Settings = Schemas['Settings']

/** What is set for the whole operation, by its owners. */
export function OfOperation({ settings }: { settings: Settings }) {
  const { me } = useStart()
  const panel = operationPanel(settings)
  const form = useForm<OperationKey>('settings', panel, () => adopt([panel], settings, begin([panel], {})))
  const seasons = useKept('settings.seasons', () => settings.seasons ?? text.seasons.map(() => ''))
  // Over which version it was begun: what another window saved since is not written over unseen.
  const over = useKept('settings.version', () => settings.version)
  const saving = useSaving(
    () =>
      data(
        client.PUT('/api/settings', {
          body: {
            ...(form.body as Omit<Settings, 'version' | 'seasons'>),
            seasons: seasons.value,
            version: over.value + 1,
          },
        }),
      ),
    (saved) => {
      for (const kept of [form, seasons, over]) kept.putDown()
      queries.setQueryData(settingsQuery.queryKey, saved)
      stale('start')
    },
  )
  const trying = useSaving((forecast: string) =>
    data(client.POST('/api/settings/forecast', { body: { forecast } })),
  )
  const save = () => {
    over.set(over.value) // it is kept with what was typed
    saving.save(undefined, {
      onError: () =>
        void queries
          .query({ ...settingsQuery, staleTime: 0 })
          .then(({ version }) => version !== over.value && over.set(version)),
    })
  }
  if (!may(me?.role, 'owner'))
    return (
      <section className={page.form}>
        <h2>{text.operation(me?.operation ?? '')}</h2>
        <p className="quiet">{text.onlyOwners}</p>
        <Now settings={settings} />
      </section>
    )
  const address = form.typed.forecast?.trim() ?? ''
  return (
    <section className={page.form} data-operation-settings>
      <h2>{text.operation(me?.operation ?? '')}</h2>
      <Form
        className={styles.form}
        form={form}
        saving={
          saving.stale
            ? { faults: {}, message: undefined, busy: saving.busy }
            : {
                ...saving,
                at: Math.max(saving.at, trying.at),
                faults: { ...saving.faults, ...trying.faults },
              }
        }
        save={text.save}
        mark="settings"
        onSave={save}
        after={{
          forecast: (
            <div>
              <Press
                says={trying.busy ? text.testing : text.test}
                off={trying.busy || address === ''}
                onPress={() => trying.save(address)}
                data-try-forecast
              />
              {trying.out && !trying.busy && trying.tried === address && (
                <p role="status" data-tried>
                  {text.works(
                    trying.out.yard,
                    trying.out.days,
                    temperatures(trying.out.low_c, trying.out.high_c),
                  )}
                </p>
              )}
            </div>
          ),
        }}
      >
        <h3>{text.seasonsAsk}</h3>
        <p className="quiet">{text.seasonsHint}</p>
        <div className={page.two}>
          {text.seasons.map((usual, i) => (
            <Field
              key={usual}
              text
              label={usual}
              most={30}
              path={`seasons[${i}]`}
              value={seasons.value[i] ?? ''}
              onChange={(v) => seasons.set(produce(seasons.value, (all) => void (all[i] = v)))}
            />
          ))}
        </div>
        {saving.stale && (
          <div data-stale>
            <Said message={text.stale} />
            <h3>{text.inForce}</h3>
            <Now settings={settings} />
          </div>
        )}
        {saving.done && <p role="status">{text.saved}</p>}
      </Form>
    </section>
  )
}

/** What is in force, to be read. */
function Now({ settings: s }: { settings: Settings }) {
  return (
    <p>
      {[
        s.time_zone,
        text.units[s.units],
        text.hours[s.hours],
        text.dates[s.dates],
        s.currency,
        s.seasons?.join(', '),
        s.forecast,
      ]
        .filter(Boolean)
        .join(' · ')}
    </p>
  )
}
