import { useMemo } from 'react'
import Alert from '@mui/material/Alert'
import { useParams, useSearchParams } from 'react-router'
import { Waiting } from '../kit'
import { Round } from './Round'
import styles from './RoundPage.module.css'
import { text } from './text'
import { useKeptForYard } from '../outbox/useKeptForYard'
import { useCore, useRound } from './useRound'

/** A round in the yard, colony by colony. */
export default function RoundPage() {
  const { id = '', day = '', act } = useParams()
  const yard = useSearchParams()[0].get('yard')
  const round = useRound(id, day, act)
  // Where one yard of several is gone to, its hives alone.
  const here = useMemo(() => {
    const colonies = round.data?.colonies.filter((c) => c.yard_id === yard) ?? []
    return round.data && colonies.length > 0 ? { ...round.data, colonies } : round.data
  }, [round.data, yard])
  const { core, failed } = useCore()
  const ready = useKeptForYard([`/api/jobs/${id}/visit?day=${day}${act ? `&act=${act}` : ''}`])
  if (!here) return <Waiting query={round} />
  if (!core)
    return failed ? (
      <Alert severity="error" sx={{ m: 2 }}>
        {text.noCore}
      </Alert>
    ) : (
      <p className={styles.note}>{text.loading}</p>
    )
  return <Round key={`${id} ${day} ${act} ${yard}`} round={here} core={core} ready={ready} />
}
