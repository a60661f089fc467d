import { produce } from 'immer'
import { useState } from 'react'
import { client, type Schemas } from '../api/client'
import { HiveBoxes, type BoxShape } from '../hive/HiveBoxes'
import {
  adopt,
  begin,
  Entries,
  Faults,
  onSent,
  type Panel,
  Pick,
  Press,
  read,
  Reader,
  readNumber,
  Said,
  TICKED,
  type Typed as Asked,
  useKept,
  useSaving,
} from '../kit'
import { HIVES, namesFrom, type HiveName } from '../hive/hive'
import { text as hives } from '../hive/text'
import { hiveBoxes, inWords, preset, shapes } from '../hive/shape'
import { text } from './text'
import { changed } from './changed'
import page from '../kit/page.module.css'
import styles from './yards.module.css'

type Whole = Schemas['ColonyWhole']

type Key = 'name' | 'many' | 'for_honey' | 'nuc' | 'queen' | 'notes'

interface Typed {
  /** Of the hives to be made: a try that got no answer is repeated under them. */
  ids: string[]
  asked: Asked<Key>
  boxes: BoxShape[]
  /** What the form began from: a save says so, and is refused when it is no longer so. */
  version: number
}

interface Props {
  yard: string
  /** The colony that is changed; left out for a new one. */
  colony?: Whole
  onClose: () => void
}

const COLONY = (isNew: boolean): Panel<Key> => ({
  title: '',
  entries: [
    {
      of: 'name',
      as: 'words',
      label: ({ many }) => (manyOf(many) > 1 ? text.firstName : text.name),
      most: 40,
      hint: ({ name, many }) =>
        manyOf(many) > 1 && name ? text.severalNames(namesFrom(name, manyOf(many)).join(', ')) : undefined,
    },
    { of: 'many', at: 'many', as: 'whole', label: text.howMany, first: '1', aside: true, when: () => isNew },
    { of: 'for_honey', as: 'tick', label: text.forHoney, first: TICKED },
    { of: 'nuc', as: 'tick', label: text.nuc },
    {
      of: 'queen',
      label: text.queenIs,
      titled: true,
      options: text.queen,
      columns: 4,
      first: '',
    },
    { of: 'notes', as: 'lines', label: text.notes },
  ],
})
const [NEW, CHANGED] = [COLONY(true), COLONY(false)]

const MOST = 100

/** How many hives alike are meant. */
const manyOf = (typed: string | undefined) => Math.min(MOST, Math.max(1, readNumber(typed ?? '') || 1))

const typed = (c: Whole | undefined): Typed => ({
  ids: [],
  asked: adopt([NEW], c ? { ...c, queen: c.seen.queen } : {}, begin([NEW], {})),
  boxes: c ? shapes(c.boxes) : preset('single10'),
  version: c?.version ?? 0,
})

/** A colony and its hive. When somebody else was faster, both are shown. */
export function ColonyForm({ yard, colony, onClose }: Props) {
  const form = useKept(`colony.${colony?.id ?? `new.${yard}`}`, () => typed(colony))
  const [theirs, setTheirs] = useState<Whole>()
  const [hive, setHive] = useState<HiveName>('single10')
  const v = form.value
  const change = (recipe: (t: Typed) => void) => form.set(produce(v, recipe))
  const panel = colony ? CHANGED : NEW
  const reader = new Reader('metric')
  const asked = read([panel], v.asked, reader) as Schemas['SaveColony']
  const names = namesFrom(asked.name, colony ? 1 : manyOf(v.asked.many))
  const saving = useSaving(
    async (version: number) => {
      const { queen, ...rest } = asked
      // Left as it was seen, the queen is no other one.
      const other = queen === colony?.seen.queen ? {} : { queen }
      const body = { ...rest, ...other, version, yard_id: yard, boxes: hiveBoxes(v.boxes) }
      if (colony) return client.PUT('/api/colonies/{id}', { params: { path: { id: colony.id } }, body })
      const ids = names.map((_, i) => v.ids[i] ?? crypto.randomUUID())
      form.set({ ...v, ids })
      const colonies = names.map((name, i) => ({ ...body, id: ids[i]!, name }))
      return client.POST('/api/colonies/several', { body: { yard_id: yard, colonies } })
    },
    () => {
      form.putDown()
      changed()
      onClose()
    },
  )
  const save = (version: number) =>
    saving.save(version, {
      onError: () => {
        if (colony)
          void client.GET('/api/colonies/{id}', { params: { path: { id: colony.id } } }).then(({ data }) => {
            setTheirs(data && data.version !== version ? data : undefined)
          })
      },
    })
  const faults = { ...byName(saving.faults, names), ...reader.faults }
  const close = () => {
    form.putDown()
    onClose()
  }
  return (
    <form className={page.form} data-colony-form onSubmit={onSent(() => save(v.version))}>
      {!colony && (
        <Pick
          label={text.preset}
          value={hive}
          options={hives.hiveKinds}
          onChange={(name) => {
            setHive(name as HiveName)
            change((t) => {
              t.boxes = preset(name as HiveName)
              t.asked.nuc = HIVES[name as HiveName].nuc ? TICKED : ''
            })
          }}
        />
      )}
      <Faults value={faults}>
        <Entries of={panel} typed={v.asked} change={(recipe) => change((t) => recipe(t.asked))} />
      </Faults>
      <details>
        <summary>
          {text.hive}: {inWords(hiveBoxes(v.boxes))}
        </summary>
        {colony?.honey_held && <p data-honey-held>{colony.honey_held.words}</p>}
        <HiveBoxes
          boxes={v.boxes}
          reshape={(i, recipe) => change((t) => recipe(t.boxes[i]!))}
          remove={(i) => change((t) => void t.boxes.splice(i, 1))}
          add={() => change((t) => void t.boxes.push(...preset('single10')))}
        />
      </details>
      {theirs ? (
        <Both theirs={theirs} yours={v} />
      ) : (
        <Said message={'name' in faults ? undefined : saving.message} />
      )}
      <div className={page.bar}>
        {theirs ? (
          <>
            <Press main says={text.mine} onPress={() => save(theirs.version)} />
            <Press
              outlined
              says={text.take}
              onPress={() => {
                form.set(typed(theirs))
                setTheirs(undefined)
                saving.reset()
              }}
            />
          </>
        ) : (
          <Press submit main says={text.save} off={saving.busy || !reader.readable} data-save-colony />
        )}
        <Press says={text.cancel} onPress={close} />
      </div>
    </form>
  )
}

/** Of several hives, what is wrong with the name of one is told at the name, with that name. */
const byName = (faults: Record<string, string>, names: readonly string[]) =>
  Object.fromEntries(
    Object.entries(faults).map(([path, fault]) => {
      const [, i, field] = /^colonies\[(\d+)\]\.(.*)$/.exec(path) ?? []
      if (field === undefined) return [path, fault]
      return [field, names.length > 1 ? `${names[Number(i)]}: ${fault}` : fault]
    }),
  )

/** What the other one saved, and what is typed here, side by side. */
function Both({ theirs, yours }: { theirs: Whole; yours: Typed }) {
  const { asked } = yours
  const rows = [
    [text.name, theirs.name, asked.name ?? ''],
    [text.nuc, text.yesNo(theirs.nuc), text.yesNo(asked.nuc === TICKED)],
    [text.forHoney, text.yesNo(theirs.for_honey), text.yesNo(asked.for_honey === TICKED)],
    [text.queenIs, text.queen[theirs.seen.queen ?? ''] ?? '', text.queen[asked.queen ?? ''] ?? ''],
    [text.hive, inWords(theirs.boxes), inWords(hiveBoxes(yours.boxes))],
    [text.notes, theirs.notes ?? '', asked.notes ?? ''],
  ] as const
  return (
    <div data-both>
      <Said message={text.stale} />
      <div className={styles.both}>
        {([1, 2] as const).map((side) => (
          <dl key={side}>
            <h3>{side === 1 ? text.theirs : text.yours}</h3>
            {rows.map((r) => (
              <div key={r[0]} data-differs={r[1] !== r[2]}>
                <dt>{r[0]}</dt>
                <dd>{r[side] || '–'}</dd>
              </div>
            ))}
          </dl>
        ))}
      </div>
    </div>
  )
}
