import { queries } from '../kit'
import type { Told } from '../stream/hub'
import { useTold } from '../stream/useTold'

/** Everything that bears on what there is to do. */
const WHOLE = '00000000-0000-0000-0000-000000000000'

/** ms: on a day when many write, it is asked for no more often. */
const REST = 5000

// What is asked for as the stream opens knows all that there is; what is asked for before something
// happened does not.
const anew = (told: Told) =>
  void queries.invalidateQueries({ queryKey: ['check'] }, { cancelRefetch: 'changed' in told })

/** What there is to do, as it is: also after others have done something. */
export const useNewest = () => useTold(WHOLE, anew, REST)
