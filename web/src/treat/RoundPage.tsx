import Alert from '@mui/material/Alert'
import { useParams } from 'react-router'
import { Waiting } from '../kit'
import { Round } from './Round'
import styles from './RoundPage.module.css'
import { text } from './text'
import { useKeptForYard } from '../outbox/useKeptForYard'
import { useCore, useRound } from './useRound'

/** A round in the yard, colony by colony. */
export default function RoundPage() {
  const { id = '', day = '', act } = useParams()
  const round = useRound(id, day, act)
  const { core, failed } = useCore()
  const ready = useKeptForYard([`/api/jobs/${id}/visit?day=${day}${act ? `&act=${act}` : ''}`])
  if (!round.data) return <Waiting query={round} />
  if (!core)
    return failed ? (
      <Alert severity="error" sx={{ m: 2 }}>
        {text.noCore}
      </Alert>
    ) : (
      <p className={styles.note}>{text.loading}</p>
    )
  return <Round key={`${id} ${day} ${act}`} round={round.data} core={core} ready={ready} />
}
