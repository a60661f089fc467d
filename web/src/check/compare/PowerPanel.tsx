import { keepPreviousData, useQueries } from '@tanstack/react-query'
import { useEffect } from 'react'
import { client, data, Problem, type Schemas } from '../../api/client'
import { Entries, Faults, type Panel, Said, useForm, begin, when } from '../../kit'
import page from '../../kit/page.module.css'
import { PowerCurve } from './PowerCurve'
import styles from './PowerPanel.module.css'
import { text } from './text'

type Key = 'first' | 'second' | 'kind' | 'bees' | 'days' | 'rate' | 'spread'

/** The other samples that stand beside the one that was asked for, smaller and larger. */
const BESIDE = { wash: [100, 300, 600], board: [3, 7, 14] }

const PANEL: Panel<Key> = {
  title: text.howMany,
  entries: [
    { of: 'first', label: text.better, unit: '%', first: '95' },
    { of: 'second', label: text.other, unit: '%', first: '80' },
    { of: 'kind', label: text.countedBy, options: text.kinds },
    { of: 'bees', at: 'over', as: 'whole', label: text.bees, first: '300', when: when('kind', 'wash') },
    { of: 'days', at: 'over', label: text.days, first: '7', when: when('kind', 'board') },
    {
      of: 'rate',
      label: (t) => (t.kind === 'board' ? text.rateBoard : text.rateWash),
      first: '3',
    },
    { of: 'spread', label: text.spread, titled: true, options: text.spreads, first: 'usual' },
  ],
}

/** How many hives tell two kinds apart, drawn for as many bees and for more and fewer. */
export function PowerPanel({ groups, onEnough }: { groups: number; onEnough: (enough?: number) => void }) {
  const form = useForm('compare.power', PANEL, () => begin([PANEL], {}))
  const body = { ...(form.body as Schemas['PowerRequest']), groups }
  const sizes = [...new Set([body.over, ...BESIDE[body.kind]])].slice(0, 3).sort((a, b) => a - b)
  const asked = useQueries({
    queries: sizes.map((over) => ({
      queryKey: ['power', body, over],
      queryFn: async ({ signal }: { signal: AbortSignal }) =>
        data(client.POST('/api/comparisons/power', { body: { ...body, over }, signal })),
      enabled: form.reader.readable && body.over > 0,
      placeholderData: keepPreviousData,
      staleTime: Infinity,
      retry: false,
    })),
  })
  const mine = asked[sizes.indexOf(body.over)]
  const refused = asked.find((a) => a.error instanceof Problem)?.error as Problem | undefined
  const [first, second] = [form.typed.first ?? '', form.typed.second ?? '']
  const over = body.kind === 'wash' ? text.overWash : text.overBoard
  const enough = mine?.data?.enough
  useEffect(() => onEnough(enough), [onEnough, enough])
  return (
    <section className={page.panel}>
      <h2>{text.howMany}</h2>
      <Faults value={{ ...refused?.faults, ...form.reader.faults }}>
        <div className={styles.columns}>
          <div className={styles.asked}>
            <Entries of={form.panel} typed={form.typed} change={form.change} />
          </div>
          <div>
            {mine?.data && (
              <p className={styles.said} data-enough={enough ?? 0}>
                {enough ? text.enough(enough, first, second) : text.notEnough(first, second)}
              </p>
            )}
            <PowerCurve
              curves={asked.flatMap((a, i) =>
                a.data
                  ? [{ label: over(sizes[i]!), chances: a.data.chances, mine: sizes[i] === body.over }]
                  : [],
              )}
              wanted={mine?.data?.wanted ?? 0}
              enough={enough}
            />
            <p className="quiet">{text.tried}</p>
          </div>
        </div>
      </Faults>
      <Said message={refused && Object.keys(refused.faults).length === 0 ? refused.message : undefined} />
    </section>
  )
}
