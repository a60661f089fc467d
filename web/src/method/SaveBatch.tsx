import Alert from '@mui/material/Alert'
import { useMutation } from '@tanstack/react-query'
import { Link } from 'react-router'
import { client, data, Problem, type Schemas } from '../api/client'
import { Faults, Field, Press, queries } from '../kit'
import styles from './SaveBatch.module.css'
import { text } from './text'
import { triedId } from './triedId'

/** What is saved: the recipe by its method, and the batch that a rest comes from. */
export type ToSave = Pick<Schemas['SaveBatch'], 'recipe' | 'parent_id'>

interface Props {
  toSave: ToSave
  rule: string
  /** As typed; empty for the suggestion. */
  name: string
  suggestion: string
  /** The figures shown are not yet those of the request. */
  busy: boolean
  onName: (name: string) => void
}

/**
 * Keeps the batch. A try that got no answer is repeated under the same id, so
 * that the batch counts once; what has changed since gets an id of its own.
 */
export function SaveBatch({ toSave, rule, name, suggestion, busy, onName }: Props) {
  const save = useMutation({
    mutationFn: async () => {
      const body = { name: name || suggestion, rule_worked_under: rule, ...toSave }
      const id = triedId(JSON.stringify(body))
      return data(client.POST('/api/batches', { body: { ...body, id } }))
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ['batches'] }),
  })
  const refused = save.error instanceof Problem && save.error.status < 500 ? save.error : undefined
  return (
    <Faults value={refused?.faults ?? {}}>
      <Field
        text
        label={text.batchName}
        path="name"
        value={name}
        placeholder={suggestion}
        onChange={onName}
      />
      <div aria-live="polite">
        {save.isSuccess && (
          <Alert severity="success" variant="outlined" sx={{ mt: 1 }}>
            {text.saved(save.data.name)}{' '}
            <Link to={`/batches/${save.data.id}`} data-saved>
              {text.open}
            </Link>{' '}
            <Link to={`/bench/${save.data.id}`} data-to-bench>
              {text.toBench}
            </Link>
          </Alert>
        )}
        {save.isError && (
          <Alert severity="error" variant="outlined" sx={{ mt: 1 }}>
            {refused ? Object.values(refused.faults).join(' ') || refused.message : text.saveLost}{' '}
            {refused?.status === 401 && (
              <Link to="/batches" state={{ back: '/mix' }}>
                {text.signIn}
              </Link>
            )}
          </Alert>
        )}
      </div>
      <div className={styles.saveRow}>
        <Press
          big
          main
          says={save.isPending ? text.saving : text.save}
          off={save.isPending || busy}
          onPress={() => save.mutate()}
          data-save
        />
        <Press big outlined says={text.print} onPress={() => print()} />
      </div>
    </Faults>
  )
}
