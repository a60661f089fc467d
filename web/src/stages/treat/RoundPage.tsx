import Alert from '@mui/material/Alert'
import { useParams } from 'react-router'
import { Problem } from '../../api/client'
import { Round } from './Round'
import styles from './treat.module.css'
import { text } from './text'
import { useCore, useKeptForYard, useRound } from './useRound'

/** A round in the yard, colony by colony. */
export default function RoundPage() {
  const { id = '', day = '' } = useParams()
  const round = useRound(id, day)
  const { core, failed } = useCore()
  const ready = useKeptForYard(id, day)
  if (round.error instanceof Problem && round.error.status < 500)
    return <p className={styles.note}>{round.error.status === 404 ? text.unknown : round.error.message}</p>
  if (!round.data) return <p className={styles.note}>{round.failureCount > 0 ? text.failed : text.loading}</p>
  if (!core)
    return failed ? (
      <Alert severity="error" sx={{ m: 2 }}>
        {text.noCore}
      </Alert>
    ) : (
      <p className={styles.note}>{text.loading}</p>
    )
  return <Round key={`${id} ${day}`} round={round.data} core={core} ready={ready} />
}
