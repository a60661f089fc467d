import Alert from '@mui/material/Alert'
import { lazy, Suspense, useDeferredValue, useState } from 'react'
import { Link, Route, Routes } from 'react-router'
import { useStartQuery, useWays } from './kit'
import { ClosedPage, KEPT, OPEN, OURS } from './routes'
import { Boundary } from './shell/Boundary'
import { Foot } from './shell/Foot'
import { Header } from './shell/Header'
import { text } from './shell/text'
import { Updated } from './shell/Updated'
import { useKeys } from './shell/useKeys'
import { useTop } from './shell/useTop'

const TodayPage = lazy(() => import('./today/TodayPage'))
const MixScreen = lazy(() => import('./mix/MixScreen'))
const Gate = lazy(async () => ({ default: (await import('./people/Gate')).Gate }))
const QueueBar = lazy(() => import('./outbox/QueueBar'))
const KeysSheet = lazy(() => import('./shell/KeysSheet'))
const PracticeFrame = lazy(() => import('./shell/PracticeFrame'))
const Switcher = lazy(() => import('./shell/Switcher'))

export function App() {
  const start = useStartQuery()
  const [over, setOver] = useState<'keys' | 'find'>()
  useKeys(setOver)
  useTop()
  const ways = JSON.stringify(useWays())
  // The first page takes the place of what stands there once its code has come: a fallback that is shown, React keeps for a
  // third of a second.
  const begun = useDeferredValue(start.data !== undefined)

  const waiting = (
    <Alert severity={start.failureCount > 0 ? 'error' : 'info'} sx={{ m: 3 }}>
      {start.failureCount > 0 ? text.lost : text.loading}
    </Alert>
  )
  if (!start.data) return waiting
  const { me } = start.data
  const mix = <Titled title={text.mix} page={<MixScreen start={start.data} />} />
  const closed = me?.kept_until !== undefined
  const ours = closed ? OURS.filter(([path]) => KEPT.includes(path)) : OURS
  const home = closed ? (
    <Titled title={text.titles.closed} page={<ClosedPage />} />
  ) : me ? (
    <Titled title={text.today} page={<TodayPage />} />
  ) : (
    mix
  )
  return (
    <>
      <a href="#page" className="skip">
        {text.skip}
      </a>
      <Header start={start.data} onKeys={() => setOver('keys')} onFind={() => setOver('find')} />
      {me?.practice && (
        <Suspense>
          <PracticeFrame season={me.practice} now={start.data.now} />
        </Suspense>
      )}
      <Updated />
      <Suspense>
        <QueueBar />
      </Suspense>
      <div id="page" key={ways} tabIndex={-1}>
        <Boundary>
          <Suspense fallback={<p style={{ padding: 24 }}>{text.loading}</p>}>
            {begun ? (
              <Routes>
                <Route path="/" element={home} />
                <Route path="/mix" element={mix} />
                {OPEN.map(([path, title, Page]) => (
                  <Route key={path} path={path} element={<Titled title={title} page={<Page />} />} />
                ))}
                {ours.map(([path, title, Page]) => (
                  <Route
                    key={path}
                    path={path}
                    element={
                      <Gate>
                        <Titled title={title} page={<Page />} />
                      </Gate>
                    }
                  />
                ))}
                <Route path="*" element={closed ? home : <Nowhere />} />
              </Routes>
            ) : (
              waiting
            )}
          </Suspense>
        </Boundary>
      </div>
      {me && !closed && <Foot />}
      <Suspense>
        {over === 'keys' && <KeysSheet onClose={() => setOver(undefined)} />}
        {over === 'find' && me && <Switcher onClose={() => setOver(undefined)} />}
      </Suspense>
    </>
  )
}

const Titled = ({ title, page }: { title: string; page: React.ReactNode }) => (
  <>
    <title>{`${title} · ${text.name}`}</title>
    {page}
  </>
)

const Nowhere = () => (
  <main style={{ padding: 24 }}>
    <title>{`${text.notFound} · ${text.name}`}</title>
    <h1>{text.notFound}</h1>
    <Link to="/">{text.toStart}</Link>
  </main>
)
