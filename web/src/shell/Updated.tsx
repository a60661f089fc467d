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

/** ms: until a page is loaded again whatever the worker does. */
const PATIENCE = 5000

/** The worker's newer self takes over first: it is what serves the page. */
async function reload() {
  setTimeout(() => load(), PATIENCE)
  const worker = await workers?.getRegistration()
  // One that waits already is not looked for again: that may take as long as it likes.
  if (!worker?.installing && !worker?.waiting) await worker?.update().catch(() => undefined)
  const next = worker?.installing ?? worker?.waiting
  if (!next) {
    load()
    return
  }
  // Not before it is active: what is asked of a worker that is not may never be answered.
  const go = () => {
    if (next.state === 'installed') next.postMessage('take over')
    if (next.state === 'activated') load()
    if (next.state === 'redundant') load() // it could not be fetched whole
  }
  next.addEventListener('statechange', go)
  go()
}

/** Loads the page again; what is on its way already may have been asked of the older worker. */
function load() {
  window.stop()
  location.reload()
}
