import { useQuery } from '@tanstack/react-query'
import { Link, useParams } from 'react-router'
import { Choice, Faults, Field, labelQuery, Press, Reader, useKept, Waiting } from '../kit'
import { Label } from '../label/Label'
import shared from '../label/label.module.css'
import styles from './LabelPage.module.css'
import { text } from '../label/text'

type Paper = keyof typeof text.sheets

const MOST = 64

/** The labels of a batch and of its portions, as they are printed. */
export default function LabelPage() {
  const { id = '' } = useParams()
  const label = useQuery(labelQuery(id))
  const paper = useKept<Paper>('label.paper', () => 'small')
  const copies = useKept('label.copies', () => '1')
  if (!label.data) return <Waiting query={label} />
  const reader = new Reader('metric')
  const wanted = reader.needed('copies', copies.value, true)
  if (wanted < 1 || wanted > MOST) reader.faults['copies'] = text.copiesHint
  const { portions } = label.data
  const each = portions.length > 0 ? portions : [undefined]
  const labels = Array.from({ length: reader.readable ? wanted : 0 }, () => each).flat()
  return (
    <main className={shared.page} data-paper={paper.value}>
      <style>
        {paper.value === 'small'
          ? '@page { size: 100mm 70mm; margin: 0 }'
          : '@page { size: A4; margin: 8mm }'}
      </style>
      <div className="no-print">
        <p>
          <Link to={`/batches/${id}`}>{text.back}</Link>
        </p>
        <h1>{text.title(label.data.number)}</h1>
        <div className={styles.settings}>
          <Choice
            label={text.sheet}
            columns={2}
            value={paper.value}
            options={text.sheets}
            onChange={paper.set}
          />
          <Faults value={reader.faults}>
            <Field
              label={text.copies}
              path="copies"
              value={copies.value}
              onChange={copies.set}
              hint={text.copiesHint}
            />
          </Faults>
          <Press main big says={text.print} off={!reader.readable} onPress={() => print()} />
        </div>
      </div>
      <div className={shared.sheet}>
        {labels.map((portion, i) => (
          <Label key={i} label={label.data} portion={portion} />
        ))}
      </div>
    </main>
  )
}
