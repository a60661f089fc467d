import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import NativeSelect from '@mui/material/NativeSelect'
import TextField from '@mui/material/TextField'
import { produce } from 'immer'
import { useState } from 'react'
import { client, data, type Schemas } from '../api/client'
import { Choice } from '../kit/Choice'
import { HiveBoxes, type BoxShape } from '../hive/HiveBoxes'
import { Said } from '../kit/Said'
import { useSaving } from '../kit/useSaving'
import { useKept } from '../kit/useKept'
import { HIVES, type HiveName } from '../hive/hive'
import { text as hives } from '../hive/text'
import { hiveBoxes, inWords, preset, shapes } from '../hive/shape'
import { text } from './text'
import { useChanged } from './useChanged'
import page from '../kit/page.module.css'
import styles from './yards.module.css'

type Whole = Schemas['ColonyWhole']

interface Typed {
  id: string
  name: string
  nuc: boolean
  for_honey: boolean
  queen: string
  notes: string
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

const QUEENS = ['laying', 'young', 'queenless', 'unseen'] as const

const typed = (c: Whole | undefined): Typed => ({
  id: crypto.randomUUID(),
  name: c?.name ?? '',
  nuc: c?.nuc ?? false,
  for_honey: c?.for_honey ?? true,
  queen: c?.seen.queen ?? '',
  notes: c?.notes ?? '',
  boxes: c ? shapes(c.boxes) : preset('single10'),
  version: c?.version ?? 0,
})

/** A colony and its hive. When somebody else was faster, both are shown. */
export function ColonyForm({ yard, colony, onClose }: Props) {
  const changed = useChanged()
  const form = useKept(`colony.${colony?.id ?? `new.${yard}`}`, () => typed(colony))
  const [theirs, setTheirs] = useState<Whole>()
  const v = form.value
  const change = (recipe: (t: Typed) => void) => form.set(produce(v, recipe))
  const saving = useSaving(
    async (version: number) => {
      const { boxes, queen, ...rest } = v
      // Left as it was seen, the queen is no other one.
      const other = queen === (colony?.seen.queen ?? '') ? {} : { queen }
      const body = { ...rest, ...other, version, yard_id: yard, boxes: hiveBoxes(boxes) }
      return colony
        ? data(client.PUT('/api/colonies/{id}', { params: { path: { id: colony.id } }, body }))
        : data(client.POST('/api/colonies', { body }))
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
  const close = () => {
    form.putDown()
    onClose()
  }
  return (
    <form
      className={page.form}
      data-colony-form
      onSubmit={(e) => {
        e.preventDefault()
        save(v.version)
      }}
    >
      <div className={page.two}>
        <TextField
          label={text.name}
          value={v.name}
          error={'name' in saving.faults}
          helperText={saving.faults['name']}
          onChange={(e) => change((t) => void (t.name = e.target.value))}
          slotProps={{ htmlInput: { 'data-field': 'name', maxLength: 40 } }}
        />
        {!colony && (
          <NativeSelect
            inputProps={{ 'aria-label': text.preset }}
            onChange={(e) =>
              change((t) => {
                const name = e.target.value as HiveName
                t.boxes = preset(name)
                t.nuc = HIVES[name].nuc
              })
            }
          >
            {(Object.keys(HIVES) as HiveName[]).map((h) => (
              <option key={h} value={h}>
                {hives.hiveKinds[h]}
              </option>
            ))}
          </NativeSelect>
        )}
      </div>
      <div>
        <FormControlLabel
          label={text.forHoney}
          control={
            <Checkbox checked={v.for_honey} onChange={(_, on) => change((t) => void (t.for_honey = on))} />
          }
        />
        <FormControlLabel
          label={text.nuc}
          control={<Checkbox checked={v.nuc} onChange={(_, on) => change((t) => void (t.nuc = on))} />}
        />
      </div>
      <div>
        <p className="quiet">{text.queenIs}</p>
        <Choice
          label={text.queenIs}
          columns={4}
          value={v.queen}
          options={QUEENS.map((q) => [q, text.queen[q] ?? q] as const)}
          onChange={(q) => change((t) => void (t.queen = q))}
        />
      </div>
      <details>
        <summary>
          {text.hive}: {inWords(hiveBoxes(v.boxes))}
        </summary>
        <HiveBoxes
          boxes={v.boxes}
          reshape={(i, recipe) => change((t) => recipe(t.boxes[i]!))}
          remove={(i) => change((t) => void t.boxes.splice(i, 1))}
          add={() => change((t) => void t.boxes.push(...preset('single10')))}
        />
      </details>
      <TextField
        label={text.notes}
        multiline
        value={v.notes}
        onChange={(e) => change((t) => void (t.notes = e.target.value))}
      />
      {theirs ? (
        <Both theirs={theirs} yours={v} />
      ) : (
        <Said message={'name' in saving.faults ? undefined : saving.message} />
      )}
      <div className={page.bar}>
        {theirs ? (
          <>
            <Button variant="contained" onClick={() => save(theirs.version)}>
              {text.mine}
            </Button>
            <Button
              variant="outlined"
              onClick={() => {
                form.set(typed(theirs))
                setTheirs(undefined)
                saving.reset()
              }}
            >
              {text.take}
            </Button>
          </>
        ) : (
          <Button type="submit" variant="contained" disabled={saving.busy} data-save-colony>
            {text.save}
          </Button>
        )}
        <Button onClick={close}>{text.cancel}</Button>
      </div>
    </form>
  )
}

/** What the other one saved, and what is typed here, side by side. */
function Both({ theirs, yours }: { theirs: Whole; yours: Typed }) {
  const rows = [
    [text.name, theirs.name, yours.name],
    [text.nuc, text.yesNo(theirs.nuc), text.yesNo(yours.nuc)],
    [text.forHoney, text.yesNo(theirs.for_honey), text.yesNo(yours.for_honey)],
    [text.queenIs, text.queen[theirs.seen.queen ?? ''] ?? '', text.queen[yours.queen] ?? ''],
    [text.hive, inWords(theirs.boxes), inWords(hiveBoxes(yours.boxes))],
    [text.notes, theirs.notes ?? '', yours.notes],
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
