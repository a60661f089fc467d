import Alert from '@mui/material/Alert'
import { useParams } from 'react-router'
import { Waiting } from '../kit'
import { Round } from './Round'
import styles from './RoundPage.module.css'
import { text } from './text'
import { useCore, useKeptForYard, useRound } from './useRound'

/** A round in the yard, colony by colony. */
export default function RoundPage() {
  const { id = '', day = '' } = useParams()
  const round = useRound(id, day)
  const { core, failed } = useCore()
  const ready = useKeptForYard(id, day)
  if (!round.data) return <Waiting query={round} />
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
