import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { client, data, Problem, type Schemas } from '../../api/client'
import { Choice, Faults, Field, Press, Said, stale, useSaving, yardQuery } from '../../kit'
import styles from './Planning.module.css'
import { PlanTakes } from './PlanTakes'
import { text } from './text'

interface Props {
  colony: Schemas['ColonyWhole']
  name: string
  comes: Schemas['PlanComes']
  onClose: () => void
}

/** Makes jobs of a plan, one for each treatment: for this hive, or for its whole yard. */
export function PlanJobs({ colony, name, comes, onClose }: Props) {
  const { steps } = comes
  const yard = useQuery(yardQuery(colony.yard_id))
  const hives = yard.data?.stands ?? []
  // A job that was made is not made again when another is sent once more.
  const [ids] = useState(() => steps.map(() => crypto.randomUUID()))
  const [whose, setWhose] = useState<'hive' | 'yard'>('yard')
  const [kind, setKind] = useState<Schemas['SaveJob']['rule_kind'] | ''>('')
  const [rule, setRule] = useState('')
  const [why, setWhy] = useState('')
  // The hives that a reason is asked for, by the day of the job.
  const [amiss, setAmiss] = useState<Record<string, string[]>>({})
  const saving = useSaving(async (rule_kind: Schemas['SaveJob']['rule_kind']) => {
    const of = whose === 'yard' ? hives.map((h) => h.id) : [colony.id]
    const asking: Record<string, string[]> = {}
    let refused: unknown
    for (const [i, s] of steps.entries()) {
      const what = text.methods[s.method]
      const colonies = of.map((colony_id) => ({
        colony_id,
        day: s.on,
        ...(amiss[s.on]?.includes(colony_id) && { override: why }),
      }))
      const body = {
        id: ids[i]!,
        name: text.jobName(whose === 'yard' ? colony.yard_name : colony.name, what),
        method: s.method,
        under: s.under,
        rule_kind,
        rule,
        colonies,
      }
      try {
        await data(client.POST('/api/jobs', { body }))
      } catch (error) {
        const places =
          error instanceof Problem
            ? Object.keys(error.faults).flatMap((p) => /^colonies\[(\d+)\]\.override$/.exec(p)?.[1] ?? [])
            : []
        if (places.length === 0) throw error
        asking[s.on] = places.map((p) => of[Number(p)]!)
        refused = error
      }
    }
    setAmiss((was) => ({ ...was, ...asking }))
    if (refused) throw refused as Error
    stale('jobs', 'check', 'decide')
  })
  if (saving.done)
    return (
      <p role="status" data-jobs-made>
        {text.made(steps.length)} <Link to="/jobs">{text.toJobs}</Link>
      </p>
    )
  const asked = [...new Set(Object.values(amiss).flat())]
  const names = hives.filter((h) => asked.includes(h.id)).map((h) => h.name)
  const unread = Object.entries(saving.faults).find(([path]) => path.endsWith('.override'))?.[1]
  return (
    <Faults value={{ ...saving.faults, ...(unread && { override: unread }) }}>
      <div className={styles.plan} data-plan-jobs>
        <b>{text.jobsTitle(name)}</b>
        <Choice
          label={text.whose}
          columns={1}
          value={whose}
          options={{ yard: text.wholeYard(hives.length), hive: text.thisHive(colony.name) }}
          onChange={setWhose}
        />
        {comes.takes && <PlanTakes of={comes.takes[whose]} />}
        <b>{text.rule}</b>
        <Choice
          label={text.rule}
          columns={1}
          value={kind}
          options={text.rules}
          path="rule_kind"
          onChange={setKind}
        />
        {kind !== '' && <Field text label={text.ruleWords} path="rule" value={rule} onChange={setRule} />}
        {asked.length > 0 && (
          <>
            <p>{text.whyHint(names.join(', '))}</p>
            <Field text label={text.why} path="override" value={why} onChange={setWhy} />
          </>
        )}
        <Said message={unread || 'rule' in saving.faults ? undefined : saving.message} />
        <div className={styles.actions}>
          <Press
            main
            says={saving.busy ? text.making : text.make}
            off={saving.busy || kind === '' || hives.length === 0}
            onPress={() => kind !== '' && saving.save(kind)}
            data-make-them
          />
          <Press says={text.cancel} onPress={onClose} />
        </div>
      </div>
    </Faults>
  )
}
