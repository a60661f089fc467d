import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query'
import { produce } from 'immer'
import { client, data, Problem, type Schemas } from '../api/client'
import { Choice } from '../kit/Choice'
import { Faults } from '../kit/faults'
import { FaultLine, Field } from '../kit/Field'
import { Said } from '../kit/Said'
import { useSaving } from '../kit/useSaving'
import { useKept } from '../kit/useKept'
import { plain, tenths, volume } from '../kit/format'
import { useUnits } from '../kit/units'
import { Reader, typed } from '../kit/reader'
import { Press } from '../kit/Press'
import shared from './bench.module.css'
import styles from './BeginForm.module.css'
import { text } from './text'
import { benchKey, type Run } from './useBench'

interface Typed {
  order: string
  cup: string
  vessel: string
  balances: { name: string; division: string; capacity: string; least: string }[]
}

const begin = (run: Run) => (): Typed => ({
  order: run.order,
  cup: '',
  vessel: '',
  balances: run.balances.map((b) => ({
    name: b.name,
    division: typed(b.balance_g),
    capacity: typed(b.balance_capacity_g),
    least: typed(b.balance_least_g),
  })),
})

/** Before the work: what is at hand, and how it is weighed with that. */
export function BeginForm({ run }: { run: Run }) {
  const queries = useQueryClient()
  const { system } = useUnits()
  const form = useKept(`begin.${run.batch_id}`, begin(run))
  const change = (recipe: (t: Typed) => void) => form.update((t) => produce(t, recipe))
  const reader = new Reader('metric')
  const body = request(form.value, reader)
  const wrong = reader.faults
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
      await client.PUT('/api/balances', { body: { balances: body.balances } })
      return data(client.POST('/api/batches/{id}/bench', { params: { path: { id: run.batch_id } }, body }))
    },
    (begun) => {
      form.putDown()
      queries.setQueryData(benchKey(run.batch_id), begun)
      void queries.invalidateQueries({ queryKey: ['batches'] })
    },
  )
  const room = volume(shown.room_ml, system)
  return (
    <main className={shared.begin} data-begin>
      <h1>{text.beginTitle(run.number, run.name)}</h1>
      <p className={shared.hint}>{text.beginSub}</p>
      <Faults value={{ ...beginning.faults, ...refused, ...wrong }}>
        <div className={shared.beginColumns}>
          <section>
            <h2>{text.balances}</h2>
            {form.value.balances.map((b, i) => (
              <div key={i} className={styles.balance}>
                <Field
                  text
                  label={text.balanceName}
                  value={b.name}
                  onChange={(v) => change((t) => void (t.balances[i]!.name = v))}
                />
                <Field
                  label={text.division}
                  unit="g"
                  path={`balances[${i}].balance_g`}
                  value={b.division}
                  onChange={(v) => change((t) => void (t.balances[i]!.division = v))}
                />
                <Field
                  label={text.capacity}
                  unit="g"
                  placeholder={text.notSaid}
                  path={`balances[${i}].balance_capacity_g`}
                  value={b.capacity}
                  onChange={(v) => change((t) => void (t.balances[i]!.capacity = v))}
                />
                <Field
                  label={text.leastLoad}
                  unit="g"
                  placeholder={text.notSaid}
                  path={`balances[${i}].balance_least_g`}
                  value={b.least}
                  onChange={(v) => change((t) => void (t.balances[i]!.least = v))}
                />
                {form.value.balances.length > 1 && (
                  <Press
                    size="small"
                    says={text.removeBalance}
                    onPress={() => change((t) => void t.balances.splice(i, 1))}
                  />
                )}
              </div>
            ))}
            <Press
              says={text.addBalance}
              off={form.value.balances.length >= 8}
              onPress={() =>
                change((t) => void t.balances.push({ name: '', division: '1', capacity: '', least: '' }))
              }
            />
            <Field
              label={text.cup}
              unit="g"
              path="cup_g"
              placeholder={text.notSaid}
              value={form.value.cup}
              onChange={(v) => change((t) => void (t.cup = v))}
            />
            <Field
              label={text.vessel}
              unit="mL"
              path="vessel_ml"
              placeholder={text.notSaid}
              value={form.value.vessel}
              onChange={(v) => change((t) => void (t.vessel = v))}
              hint={
                shown.room_ml === 0
                  ? undefined
                  : body.vessel_ml && body.vessel_ml < shown.room_ml
                    ? text.planTight
                    : text.planRoom(`${room.value} ${room.unit}`)
              }
            />
          </section>
          <section>
            {run.orders.length > 1 && (
              <>
                <h2>{text.order}</h2>
                <Choice
                  label={text.order}
                  columns={1}
                  value={form.value.order}
                  options={run.orders.map((o) => [o, text.orders[o] ?? o] as const)}
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
              kind="main"
              size="large"
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
              {text.act(a)[0]}
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

function request(t: Typed, reader: Reader): Schemas['BeginBench'] {
  const number = (value: string, path: string) => reader.number(path, value)
  const cup = number(t.cup, 'cup_g')
  const vessel = number(t.vessel, 'vessel_ml')
  return {
    order: t.order,
    ...(cup === undefined ? {} : { cup_g: cup }),
    ...(vessel === undefined ? {} : { vessel_ml: vessel }),
    balances: t.balances.map((b, i) => {
      const capacity = number(b.capacity, `balances[${i}].balance_capacity_g`)
      const least = number(b.least, `balances[${i}].balance_least_g`)
      return {
        name: b.name,
        balance_g: number(b.division, `balances[${i}].balance_g`) ?? 0,
        ...(capacity === undefined ? {} : { balance_capacity_g: capacity }),
        ...(least === undefined ? {} : { balance_least_g: least }),
      }
    }),
  }
}
