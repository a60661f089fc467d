import type { Change } from '../draft'
import { Press, useFaultCode } from '../../kit'
import type { DribbleTyped, PowderKind } from './fields'
import { text } from './text'

/** A share near 71.4 % may be the dihydrate counted anhydrous: which it is, is asked. */
export function ShareAsked({ typed, change }: { typed: DribbleTyped; change: Change<DribbleTyped> }) {
  const asked = useFaultCode('hold.oad_percent') === 'basis_share'
  if (!asked) return null
  const kind = typed['hold.kind'] as PowderKind
  const share = typed[`${kind}.share`] ?? ''
  return (
    <div>
      <Press
        small
        outlined
        says={text.sharePure}
        onPress={() => change((t) => void (t[`${kind}.share`] = '100'))}
        data-share-pure
      />
      <Press
        small
        says={text.shareReal(share)}
        onPress={() => change((t) => void (t[`${kind}.sure`] = share))}
        data-share-real
      />
    </div>
  )
}
