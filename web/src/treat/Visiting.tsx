import { Press } from '../kit'
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
      return <TakeOut colony={colony} onOut={(out) => onWrite({ kind: 'out', ...out })} />
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
          <Boards hive={hive} amount={amount} onHive={onHive} />
          <p className="quiet">{text.movedHint}</p>
          <div className={shared.takes}>
            <Press big outlined says={text.hangWell} onPress={() => onWrite({ kind: 'moved', boxes: [] })} />
            <Press
              big
              main
              says={text.moved}
              onPress={() => onWrite({ kind: 'moved', boxes: amount.boxes })}
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
