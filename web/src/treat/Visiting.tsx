import { date, Press } from '../kit'
import { Boards } from './Boards'
import { Eggs } from './Eggs'
import { Replace } from './Replace'
import { TakeOut } from './TakeOut'
import { text } from './text'
import shared from './treat.module.css'
import type { VisitingProps } from './visitingProps'
import { Weigh } from './Weigh'

/** A hive on a visit that gives nothing of itself: what it is gone to for. */
export function Visiting(props: VisitingProps) {
  const { round, colony, hive, amount, onHive, onWrite } = props
  switch (round.act) {
    case 'out':
      return (
        <>
          <Hanging colony={colony} />
          <TakeOut colony={colony} onOut={(out) => onWrite({ kind: 'out', ...out })} />
        </>
      )
    case 'check':
      return <Eggs onWrite={onWrite} />
    case 'weigh':
      return (
        <>
          <Weigh colony={colony} onWrite={onWrite} />
          <Replace {...props} />
        </>
      )
    case 'move':
      return (
        <>
          <Hanging colony={colony} />
          <Boards hive={hive} amount={amount} onHive={onHive} />
          <p className="quiet">{text.movedHint}</p>
          <div className={shared.takes}>
            <Press big outlined says={text.hangWell} onPress={() => onWrite({ kind: 'moved', boxes: [] })} />
            <Press
              big
              main
              says={text.moved}
              onPress={() =>
                onWrite({ kind: 'moved', boxes: amount.boxes, ...(amount.gaps && { gaps: amount.gaps }) })
              }
              data-given
            />
          </div>
          <Replace {...props} />
        </>
      )
    default:
      return (
        <>
          <p>{text.boardHint}</p>
          <div className={shared.takes}>
            <Press big main says={text.boardIn} onPress={() => onWrite({ kind: 'board' })} data-given />
          </div>
        </>
      )
  }
}

/** In which gaps they were put last. */
function Hanging({ colony }: Pick<VisitingProps, 'colony'>) {
  const { gaps, gaps_on } = colony
  if (!gaps || !gaps_on) return null
  const several = gaps.length > 1
  const where = gaps.map((of, i) => {
    const numbers = of.map((g) => g + 1).join(', ')
    return several ? text.box(i + 1, numbers || '–') : numbers
  })
  return <p data-gaps>{text.hanging(where.join(' · '), date(gaps_on))}</p>
}
