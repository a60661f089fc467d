import { produce } from 'immer'
import { client, data, type Schemas } from '../api/client'
import {
  Blank,
  Faults,
  may,
  Pick,
  plain,
  Press,
  queries,
  Reader,
  Said,
  typed,
  useKept,
  useSaving,
  useStart,
} from '../kit'
import { Vessel } from '../drawing/Vessel'
import page from '../kit/page.module.css'
import { vesselsQuery } from '../method/vessels/vessels'
import styles from './VesselsAtHand.module.css'
import { text } from './text'

type Own = Schemas['Vessel']

type Typed = Omit<Own, 'ml'> & {
  ml: string
}

const MOST = 12

/** The jars, bottles and pots of the operation: Mix, bench and portions choose among them. */
export function VesselsAtHand({ vessels }: { vessels: readonly Own[] }) {
  const helper = may(useStart().me?.role, 'helper')
  const kept = useKept('settings.vessels', () => vessels.map((v): Typed => ({ ...v, ml: typed(v.ml) })))
  const reader = new Reader('metric')
  const read = kept.value.map((v, i) => ({ ...v, ml: reader.needed(`vessels[${i}].ml`, v.ml) }))
  const change = (recipe: (all: Typed[]) => void) => kept.update((all) => produce(all, recipe))
  const saving = useSaving(
    () => data(client.PUT('/api/vessels', { body: { vessels: read } })),
    (saved) => {
      kept.putDown()
      queries.setQueryData(vesselsQuery.queryKey, saved)
    },
  )
  return (
    <section className={page.form} data-vessels>
      <h2>{text.vessels}</h2>
      <p className="quiet">{text.vesselsHint}</p>
      <Faults value={{ ...saving.faults, ...reader.faults }}>
        <div className={styles.shelf}>
          {kept.value.map((v, i) => (
            <div key={i} className={styles.vessel}>
              <Vessel kind={v.kind} volume={0} figure={plain(Number(v.ml) || 0)} unit="mL" />
              <Blank
                label={text.vesselName}
                path={`vessels[${i}].name`}
                words
                value={v.name}
                onChange={(name) => change((all) => void (all[i]!.name = name))}
              />
              <span>
                <Blank
                  label={text.vesselHolds}
                  path={`vessels[${i}].ml`}
                  value={v.ml}
                  onChange={(ml) => change((all) => void (all[i]!.ml = ml))}
                />{' '}
                mL
              </span>
              <Pick
                label={text.vesselKind}
                value={v.kind}
                options={text.vesselKinds}
                onChange={(kind) => change((all) => void (all[i]!.kind = kind as Own['kind']))}
              />
              <Press small says={text.removeVessel} onPress={() => change((all) => void all.splice(i, 1))} />
            </div>
          ))}
        </div>
      </Faults>
      {helper && (
        <>
          <div className={page.bar}>
            {text.common.map((v) => (
              <Press
                key={v.name}
                outlined
                says={text.addVessel(v.name)}
                off={kept.value.length >= MOST}
                onPress={() => change((all) => void all.push({ ...v, ml: String(v.ml) }))}
                data-add-vessel={v.ml}
              />
            ))}
          </div>
          <Said message={saving.message} />
          <Press
            outlined
            says={text.saveVessels}
            off={saving.busy || !reader.readable}
            onPress={() => saving.save()}
          />
        </>
      )}
      {saving.done && <p role="status">{text.saved}</p>}
    </section>
  )
}
