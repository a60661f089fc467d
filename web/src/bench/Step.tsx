import { temperature } from '../kit'
import { text as docketText } from '../docket/text'
import shared from './bench.module.css'
import styles from './Step.module.css'
import { Bar } from './Bar'
import { CountStep, WaitStep } from './OtherSteps'
import { HeatStep } from './HeatStep'
import { text } from './text'
import type { StepProps } from './stepProps'
import { WeighStep } from './WeighStep'

/** One step of the work, filling the screen. */
export function Step({ run, at, ...rest }: Omit<StepProps, 'act'>) {
  const act = run.acts[run.at]
  if (!act) return null
  const props = { run, act, at, ...rest }
  return (
    <div className={shared.step} data-step={act.id}>
      <ol className={styles.ticks} aria-label={text.step(run.at + 1, run.acts.length)}>
        {run.acts.map((a, i) => (
          <li
            key={a.id}
            className={i === run.at ? styles.now : a.done ? styles.past : undefined}
            aria-current={i === run.at ? 'step' : undefined}
          />
        ))}
      </ol>
      <h1 className={act.acid ? shared.harm : undefined}>{act.title}</h1>
      <p className={shared.hint}>
        {act.clean && <b className={styles.clean}>{text.clean}</b>} {act.hint}
        {act.distilled && <b className={styles.distilled}> {text.distilled}</b>}
      </p>
      <Body {...props} />
    </div>
  )
}

function Body(props: StepProps) {
  switch (props.act.kind) {
    case 'weigh':
    case 'left':
      return <WeighStep key={props.act.added.length} {...props} />
    case 'count':
      return <CountStep {...props} />
    case 'heat':
      return <HeatStep {...props} />
    case 'wait':
      return <WaitStep {...props} />
    case 'test':
      return <TestStep {...props} />
    default:
      return <DoStep {...props} />
  }
}

/** Done, and where it asks for it seen to be so. */
function DoStep({ run, act, at, foot, onNext }: StepProps) {
  const answer = async (yes: boolean) => {
    if (await at.happen({ kind: 'answered', act: act.id, answer: yes ? 'yes' : 'no' })) if (yes) onNext()
  }
  const clearing = act.id === 'acid_clear' && run.jug_c !== undefined
  return (
    <>
      <div className={shared.body}>
        {act.gear && (
          <ul className={styles.gear}>
            {act.gear.map((g) => (
              <li key={g}>{docketText.gear[g] ?? g}</li>
            ))}
          </ul>
        )}
        {clearing && <p className={shared.saying}>{text.jug(temperature(run.jug_c ?? 0))}</p>}
        {clearing && run.jug_cold && <p className={`${shared.saying} ${shared.harm}`}>{text.jugCold}</p>}
        {act.answer === 'no' && <p className={shared.saying}>{text.notYet}</p>}
      </div>
      <Bar
        {...foot}
        primary={{ words: act.check ? text.yes : text.yesDone, onPress: () => void answer(true) }}
        second={act.check ? { words: text.no, onPress: () => void answer(false) } : undefined}
      />
    </>
  )
}

/** A test whose answer chooses the water; it may be left out. */
function TestStep({ act, at, foot, onNext }: StepProps) {
  const answer = async (a: string) => {
    if (await at.happen({ kind: 'answered', act: act.id, answer: a })) onNext()
  }
  return (
    <>
      <div className={shared.body}>
        <svg className={styles.glasses} viewBox="0 0 320 150" aria-hidden="true">
          <path className={styles.clearWater} d="M40 40h80l-8 96H48z" />
          <path className={styles.cloudyWater} d="M200 40h80l-8 96h-64z" />
          <path className={styles.glass} d="M36 12h88l-10 128H46zM196 12h88l-10 128h-68z" />
        </svg>
      </div>
      <Bar
        {...foot}
        primary={{ words: text.clear, onPress: () => void answer('clear') }}
        second={{ words: text.cloudy, onPress: () => void answer('cloudy') }}
        third={{ words: text.skip, onPress: onNext }}
      />
    </>
  )
}
