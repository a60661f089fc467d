import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { produce } from 'immer'
import { client, data, Problem, type Schemas } from '../api/client'
import {
  begin,
  Choice,
  Entries,
  FaultLine,
  Faults,
  type Panel,
  plain,
  Press,
  queries,
  read,
  Reader,
  Said,
  Section,
  stale,
  tenths,
  type Typed,
  useKept,
  useSaving,
  volume,
} from '../kit'
import { BalancePick } from '../method/balances/BalancePick'
import { Balances } from '../method/balances/Balances'
import { text as balanceText } from '../method/balances/text'
import { VesselPick } from '../method/vessels/VesselPick'
import { adoptBalances, readBalances, type BalanceAtHand } from '../method/balances/balances'
import shared from './bench.module.css'
import styles from './BeginForm.module.css'
import { text } from './text'
import { benchKey, type Run } from './useBench'

/** What it is weighed and mixed in. */
const VESSELS: Panel<'cup_g' | 'vessel_ml'> = {
  title: '',
  entries: [
    { of: 'cup_g', label: text.cup, unit: 'g', placeholder: text.notSaid },
    { of: 'vessel_ml', label: text.vessel, unit: 'mL', placeholder: text.notSaid },
  ],
}

interface AtHand {
  order: string
  vessels: Typed<'cup_g' | 'vessel_ml'>
  balances: BalanceAtHand[]
  /** Those of them that are not on the bench now, by their places. */
  off: number[]
}

const atHand = (run: Run) => (): AtHand => ({
  order: run.order,
  vessels: begin([VESSELS], {}),
  balances: adoptBalances(run.balances),
  off: [],
})

/** Before the work: what is at hand, and how it is weighed with that. */
export function BeginForm({ run }: { run: Run }) {
  const { value, update, putDown } = useKept(`begin.bench.${run.batch_id}`, atHand(run))
  const change = (recipe: (t: AtHand) => void) => update((t) => produce(t, recipe))
  const { body, all, faults: wrong } = request(value)
  const plan = useQuery({
    queryKey: ['bench plan', run.batch_id, body],
    queryFn: ({ signal }) =>
      data(
        client.POST('/api/batches/{id}/bench/plan', {
          params: { path: { id: run.batch_id } },
          body,
          signal,
        }),
      ),
    placeholderData: keepPreviousData,
    enabled: Object.keys(wrong).length === 0,
  })
  const refused = plan.error instanceof Problem ? plan.error.faults : {}
  const shown = plan.data ?? run
  const beginning = useSaving(
    async () => {
      await client.PUT('/api/balances', { body: { balances: all } })
      return data(client.POST('/api/batches/{id}/bench', { params: { path: { id: run.batch_id } }, body }))
    },
    (begun) => {
      putDown()
      queries.setQueryData(benchKey(run.batch_id), begun)
      stale('batches')
    },
  )
  const room = volume(shown.room_ml)
  const faults: Record<string, string> = { ...beginning.faults, ...refused, ...wrong }
  return (
    <main data-gloves className={shared.begin} data-begin>
      <h1>{text.beginTitle(run.number, run.name)}</h1>
      <p className={shared.hint}>{text.beginSub}</p>
      <Faults value={faults}>
        <div className={shared.beginColumns}>
          <section>
            <h2>{text.balances}</h2>
            <BalancePick
              of={value.balances}
              off={value.off}
              onChange={(off) => change((t) => void (t.off = off))}
            />
            <Section title={balanceText.describe} folded>
              <Balances
                of={value.balances}
                change={(recipe) =>
                  change((t) => {
                    recipe(t.balances)
                    t.off = []
                  })
                }
                faults={faults}
              />
            </Section>
            <VesselPick
              ml={body.vessel_ml}
              onChoose={({ ml }) => change((t) => void (t.vessels.vessel_ml = String(ml)))}
            />
            <Entries
              of={VESSELS}
              typed={value.vessels}
              change={(recipe) => change((t) => recipe(t.vessels))}
            />
            {shown.room_ml > 0 && (
              <p className="quiet">
                {body.vessel_ml && body.vessel_ml < shown.room_ml
                  ? text.planTight
                  : text.planRoom(`${room.value} ${room.unit}`)}
              </p>
            )}
          </section>
          <section>
            {run.orders.length > 1 && (
              <>
                <h2>{text.order}</h2>
                <Choice
                  label={text.order}
                  columns={1}
                  value={value.order}
                  options={Object.fromEntries(run.orders.map((o) => [o, text.orders[o] ?? o]))}
                  onChange={(o) => change((t) => void (t.order = o))}
                  path="order"
                />
              </>
            )}
            <h2>{text.plan}</h2>
            <FaultLine path="balances" />
            <Weighings run={shown} />
            <Said message={beginning.message} />
            <Press
              main
              big
              says={text.begin}
              className={shared.primary}
              off={beginning.busy || Object.keys(wrong).length > 0 || plan.isError}
              onPress={() => beginning.save(undefined)}
              data-begin-yes
            />
          </section>
        </div>
      </Faults>
    </main>
  )
}

/** What is weighed, in how many loads, and how well that balance knows it. */
function Weighings({ run }: { run: Run }) {
  return (
    <ul className={styles.weighings}>
      {run.acts
        .filter((a) => a.kind === 'weigh' && a.target_g)
        .map((a) => (
          <li key={a.id}>
            <span>
              {a.title}
              {a.rest && <small>{run.balances[a.rest.balance]?.name}</small>}
            </span>
            <b className={a.acid ? shared.harm : undefined}>
              {a.rest ? text.planRow(a.rest.loads.map((l) => plain(l.target_g))) : '—'}
              <small>
                {a.rest
                  ? a.rest.off_percent >= 0.05
                    ? text.unsure(tenths(a.rest.off_percent))
                    : ''
                  : text.cannotWeigh}
              </small>
            </b>
            {a.rest?.finer_g && (
              <p className={shared.caution}>
                {text.finer(plain(a.rest.total_g), tenths(a.rest.off_percent), plain(a.rest.finer_g))}
              </p>
            )}
          </li>
        ))}
    </ul>
  )
}

/** What is at hand as the server is asked, and what of it cannot be read. */
function request({ order, vessels, balances, off }: AtHand) {
  const reader = new Reader('metric')
  const weighed = readBalances(balances)
  const body = {
    order,
    ...read([VESSELS], vessels, reader),
    balances: weighed.balances.filter((_, i) => !off.includes(i)),
  } as Schemas['BeginBench']
  return { body, all: weighed.balances, faults: { ...reader.faults, ...weighed.faults } }
}
