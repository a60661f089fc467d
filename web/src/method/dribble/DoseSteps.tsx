import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { client, data, type Schemas } from '../../api/client'
import { plain } from '../../kit'
import styles from './DoseSteps.module.css'
import { text } from './text'

const MOST = 12

interface Props {
  strength: number
  rule: Schemas['DoseRequest']['rule']
  applicator: Schemas['DoseRequest']['applicator']
}

/** What a hive gets for so many full seams, to be read off in the yard. */
export function DoseSteps({ strength, rule, applicator }: Props) {
  const body: Schemas['DoseRequest'] = {
    g_per_l: strength,
    ...(rule && { rule }),
    ...(applicator && { applicator }),
    colonies: Array.from({ length: MOST }, (_, i) => ({
      name: `${i + 1}`,
      boxes: [{ kind: 'deep', frames: MOST, counted: i + 1 }],
    })),
  }
  const doses = useQuery({
    queryKey: ['doses', body],
    queryFn: ({ signal }) => data(client.POST('/api/dribble/dose', { body, signal })),
    placeholderData: keepPreviousData,
  })
  if (!doses.data || doses.error) return null
  return (
    <figure className={styles.figure}>
      <figcaption>{text.steps}</figcaption>
      <table className={styles.steps} data-dose-steps>
        <tbody>
          <tr>
            {doses.data.doses.map((d) => (
              <td key={d.name} className={d.capped ? styles.capped : undefined}>
                <i style={{ height: `${Number(d.name) * 7}px` }} aria-hidden="true" />
                <b>{plain(d.ml)}</b>
              </td>
            ))}
          </tr>
          <tr>
            {doses.data.doses.map((d) => (
              <th key={d.name}>{d.name}</th>
            ))}
          </tr>
        </tbody>
      </table>
    </figure>
  )
}
