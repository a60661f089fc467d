import Alert from '@mui/material/Alert'
import { useQuery } from '@tanstack/react-query'
import { lazy, Suspense, useEffect, useState } from 'react'
import { Link, Route, Routes } from 'react-router'
import { client } from './api/client'
import { Boundary } from './shell/Boundary'
import { Header } from './shell/Header'
import { text } from './shell/text'
import { MixScreen } from './stages/mix/MixScreen'

const BatchList = lazy(() => import('./book/BatchList'))
const KeysSheet = lazy(() => import('./shell/KeysSheet'))
const BatchPage = lazy(() => import('./book/BatchPage'))

export function App() {
  const [keys, setKeys] = useState(false)
  const start = useQuery({
    queryKey: ['start'],
    queryFn: async ({ signal }) => (await client.GET('/api/start', { signal })).data,
    staleTime: Infinity,
    retry: true,
    retryDelay: 3000,
    networkMode: 'always',
  })
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const typing = e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement
      if (e.key === '?' && !typing) setKeys(true)
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  }, [])

  if (!start.data)
    return (
      <Alert severity={start.failureCount > 0 ? 'error' : 'info'} sx={{ m: 3 }}>
        {start.failureCount > 0 ? text.lost : text.loading}
      </Alert>
    )
  return (
    <>
      <Header start={start.data} onKeys={() => setKeys(true)} />
      <Boundary>
        <Suspense fallback={<p style={{ padding: 24 }}>{text.loading}</p>}>
          <Routes>
            <Route path="/" element={<MixScreen start={start.data} />} />
            <Route path="/batches" element={<BatchList />} />
            <Route path="/batches/:id" element={<BatchPage />} />
            <Route path="*" element={<Nowhere />} />
          </Routes>
        </Suspense>
      </Boundary>
      {keys && (
        <Suspense>
          <KeysSheet onClose={() => setKeys(false)} />
        </Suspense>
      )}
    </>
  )
}

function Nowhere() {
  return (
    <p style={{ padding: 24 }}>
      {text.notFound} <Link to="/">{text.toMix}</Link>
    </p>
  )
}
