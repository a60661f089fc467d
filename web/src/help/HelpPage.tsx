import { Link } from 'react-router'
import { Board, type Slot } from '../drawing/Board'
import { seams as fraction } from '../kit'
import page from '../kit/page.module.css'
import styles from './HelpPage.module.css'
import { text } from './text'

const SLOTS: Slot[] = ['comb', 'comb', 'comb', 'comb', 'comb', 'comb']
const SEAMS = [0, 0.25, 1, 1, 0.5, 0, 0]

/** A short guide: the way through a treatment, the words, and what to do when something goes wrong. */
export default function HelpPage() {
  return (
    <main className={page.page}>
      <h1>{text.title}</h1>
      <p className="quiet">{text.intro}</p>
      <section>
        <h2>{text.way}</h2>
        <ol className={styles.steps}>
          {text.steps.map(([to, name, what]) => (
            <li key={to}>
              <Link to={to}>{name}</Link>
              <p>{what}</p>
            </li>
          ))}
        </ol>
        <p>{text.today}</p>
      </section>
      <section className={styles.harm}>
        <h2>{text.harm}</h2>
        {text.harmLines.map((l) => (
          <p key={l}>{l}</p>
        ))}
      </section>
      <section>
        <h2>{text.words}</h2>
        <div className={styles.words}>
          <figure className={styles.drawn}>
            <Board
              name={text.seamsDrawn}
              depth="deep"
              slots={SLOTS}
              gaps={SEAMS.map((seam) => ({ open: true, seam, figure: seam > 0 ? fraction(seam) : '·' }))}
            />
            <figcaption>{text.seamsDrawn}</figcaption>
          </figure>
          <dl>
            {text.terms.map(([word, meaning]) => (
              <div key={word}>
                <dt>{word}</dt>
                <dd>{meaning}</dd>
              </div>
            ))}
          </dl>
        </div>
      </section>
      <p>{text.keys}</p>
    </main>
  )
}
