import { useQuery } from '@tanstack/react-query'
import { produce } from 'immer'
import {
  ask,
  Faults,
  may,
  Press,
  queries,
  Reader,
  Said,
  useKept,
  useSaving,
  useStart,
  Waiting,
  ways,
} from '../kit'
import { client, data, type Schemas } from '../api/client'
import { text } from './text'
import { changed } from './changed'
import { SeasonChart } from './SeasonChart'
import page from '../kit/page.module.css'

const KINDS = ['wash', 'board'] as const
/** What a step of the handle changes. */
const STEP = { wash: 0.5, board: 1 }

/** Where the operation acts, by season. */
export default function ThresholdsPage() {
  const thresholds = useQuery(ask(['thresholds'], '/api/thresholds'))
  if (!thresholds.data) return <Waiting query={thresholds} />
  return <Form thresholds={thresholds.data} />
}

function Form({ thresholds }: { thresholds: Schemas['Thresholds'] }) {
  const keeper = may(useStart().me?.role, 'keeper')
  const form = useKept('thresholds', () =>
    thresholds.thresholds.map((l) => ({ wash: String(l.wash), board: String(l.board) })),
  )
  const reader = new Reader('metric')
  const typed = form.value.map((f, i) => ({
    season: thresholds.thresholds[i]!.season,
    wash: reader.needed(`thresholds[${i}].wash`, f.wash),
    board: reader.needed(`thresholds[${i}].board`, f.board),
  }))
  const saving = useSaving(
    () => data(client.PUT('/api/thresholds', { body: { thresholds: typed } })),
    (now) => {
      queries.setQueryData(['thresholds'], now)
      form.putDown()
      changed()
    },
  )
  return (
    <main className={page.page}>
      <h1>{text.thresholdsTitle}</h1>
      <p className="quiet">{text.thresholdsHint}</p>
      <Faults value={{ ...saving.faults, ...reader.faults }}>
        {KINDS.map((kind) => (
          <SeasonChart
            key={kind}
            title={text.thresholdOf[kind]}
            step={STEP[kind]}
            seasons={thresholds.thresholds.map((l, i) => ({
              name: ways().seasons?.[i] ?? text.seasons[l.season],
              months: l.months ?? [],
              path: `thresholds[${i}].${kind}`,
              typed: form.value[i]?.[kind] ?? '',
              at: typed[i]![kind],
              usual: thresholds.trade?.[i]?.[kind] ?? 0,
              set: (v) => form.set(produce(form.value, (f) => void (f[i]![kind] = v))),
            }))}
          />
        ))}
      </Faults>
      <Said message={saving.message} />
      {saving.done && <p>{text.thresholdsSaved}</p>}
      {keeper && (
        <div className={page.bar}>
          <Press main says={text.save} off={saving.busy || !reader.readable} onPress={() => saving.save()} />
        </div>
      )}
    </main>
  )
}
