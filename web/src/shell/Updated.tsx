import Alert from '@mui/material/Alert'
import { useSyncExternalStore } from 'react'
import { workers } from '../api/names'
import { isUpdated, subscribe } from '../api/updated'
import { Press } from '../kit'
import { text } from './text'

/** The server has a newer page than this one. What was typed outlives the reload. */
export function Updated() {
  if (!useSyncExternalStore(subscribe, isUpdated)) return null
  return (
    <Alert severity="info" className="no-print" data-updated>
      {text.updated} <Press small outlined says={text.reload} onPress={() => void reload()} />
    </Alert>
  )
}

/** The worker's newer self takes over first: it is what serves the page. */
async function reload() {
  const worker = await workers?.getRegistration()
  await worker?.update().catch(() => undefined)
  const next = worker?.installing ?? worker?.waiting
  if (next) {
    workers?.addEventListener('controllerchange', () => location.reload())
    const go = () => {
      if (next.state === 'installed') next.postMessage('take over')
    }
    next.addEventListener('statechange', go)
    go()
  } else location.reload()
}
