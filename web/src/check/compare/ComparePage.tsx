import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useSearchParams } from 'react-router'
import { ask, Choice, named, Pick, Press, useStart, Waiting, yardsQuery, may } from '../../kit'
import page from '../../kit/page.module.css'
import styles from './ComparePage.module.css'
import { FairOnes } from './FairOnes'
import { Forest } from './Forest'
import { Pairs } from './Pairs'
import { text } from './text'

type By = keyof typeof text.by | 'groups'

/** Treatments of the past held against each other, and the groups of fair comparisons. */
export default function ComparePage() {
  const [asked, setAsked] = useSearchParams()
  const by = (asked.get('by') ?? 'job') as By
  const keep = ['job', 'yard', 'method', 'comparison'] as const
  const query = { by, ...Object.fromEntries(keep.flatMap((k) => (asked.get(k) ? [[k, asked.get(k)]] : []))) }
  const compare = useQuery({
    ...ask(['jobs', 'compare', query], '/api/compare', { query }),
    placeholderData: keepPreviousData,
  })
  const yards = useQuery(yardsQuery)
  const keeper = may(useStart().me?.role, 'keeper')
  const turn = (change: Record<string, string>) => {
    const next = new URLSearchParams(asked)
    for (const [key, value] of Object.entries(change)) {
      if (value) next.set(key, value)
      else next.delete(key)
    }
    setAsked(next, { replace: true })
  }
  const c = compare.data
  return (
    <main className={styles.screen}>
      <div className={styles.main}>
        <div className={page.head}>
          <h1>{text.title}</h1>
          <span className="quiet">{text.intro}</span>
        </div>
        <Choice
          label={text.byWhat}
          columns={4}
          value={by === 'groups' ? '' : by}
          options={text.by}
          onChange={(by) => turn({ by, comparison: '' })}
        />
        {by !== 'groups' && (
          <div className={page.bar}>
            <Pick
              label={text.ofMethod}
              none={text.anyMethod}
              value={asked.get('method') ?? ''}
              options={text.methods}
              onChange={(method) => turn({ method })}
            />
            <Pick
              label={text.ofYard}
              none={text.anyYard}
              value={asked.get('yard') ?? ''}
              options={named(yards.data)}
              onChange={(yard) => turn({ yard })}
            />
            {asked.get('job') && (
              <>
                <span className="quiet">{text.ofJob}</span>
                <Press small says={text.allJobs} onPress={() => turn({ job: '' })} />
              </>
            )}
          </div>
        )}
        {c ? (
          <>
            <Forest compare={c} keeper={keeper} />
            <Pairs compare={c} />
          </>
        ) : (
          <Waiting query={compare} />
        )}
      </div>
      <aside>
        <FairOnes chosen={asked.get('comparison') ?? ''} keeper={keeper} />
      </aside>
    </main>
  )
}
