import { useQuery } from '@tanstack/react-query'
import { Link, useNavigate } from 'react-router'
import { client, data } from '../../api/client'
import { Docket } from '../../docket/Docket'
import { ask, Asking, Press, Said, stale, useSaving } from '../../kit'
import styles from './FairOnes.module.css'
import { text } from './text'

/** The groups that were made for fair comparisons, and the way to make some. */
export function FairOnes({ chosen, keeper }: { chosen: string; keeper: boolean }) {
  const navigate = useNavigate()
  const made = useQuery(ask(['jobs', 'comparisons'], '/api/comparisons'))
  const removing = useSaving(
    async () => data(client.DELETE('/api/comparisons/{id}', { params: { path: { id: chosen } } })),
    () => {
      stale('jobs')
      void navigate('/compare')
    },
  )
  const all = made.data?.comparisons ?? []
  return (
    <Docket title={text.fair} sub="" origin="" busy={made.isFetching}>
      {made.data && all.length === 0 && <p className="quiet">{text.fairNone}</p>}
      <ul className={styles.made}>
        {all.map((c) => (
          <li key={c.id} aria-current={c.id === chosen}>
            <Link to={`/compare?by=groups&comparison=${c.id}`}>{c.name}</Link>
            <small className="quiet">
              {c.groups.map((g) => `${g.name} (${g.colonies.length})`).join(', ')}
            </small>
          </li>
        ))}
      </ul>
      <div className={styles.acts}>
        {keeper && <Press main big says={text.plan} to="/compare/plan" />}
        {keeper && chosen && (
          <Asking
            action={text.remove}
            hint={text.removeHint}
            yes={text.removeSure}
            onYes={() => removing.save(undefined)}
          />
        )}
        <Said message={removing.message} />
      </div>
    </Docket>
  )
}
