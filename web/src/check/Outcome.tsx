import type { Schemas } from '../api/client'
import styles from './Outcome.module.css'
import { percent } from './share'
import { text } from './text'

/** Whether it worked: the one figure, how it was come by, and the word. */
export function Outcome({ result, hives }: { result: Schemas['Result']; hives: number }) {
  const { outcome, words, how, tell, now } = result
  const measured = result.measure !== 'after_alone'
  return (
    <div className={styles.outcome} data-result={outcome}>
      {measured && (
        <>
          <p>{text.killed(hives)}</p>
          <p className={styles.share}>
            <b data-share>{result.share < 0 ? '0' : percent(result.share)}</b> %
          </p>
          <p className="quiet">
            {text.interval(percent(Math.max(0, result.low)), percent(result.high))} · {how}
          </p>
        </>
      )}
      <p className={`${styles.word} ${styles[outcome]}`}>
        {SIGNS[outcome]} {words}
      </p>
      {!measured && <p>{how}</p>}
      {result.share < 0 && <p className={styles.did_not}>{text.fewer}</p>}
      {now && <p>{text.now[now.stands]}</p>}
      {tell && <p className="quiet">{tell}</p>}
    </div>
  )
}

const SIGNS = { surely: '✓', worked: '✓', points: '→', did_not: '✕', cannot_tell: '?' }
