import Alert from '@mui/material/Alert'
import { lazy, Suspense, useEffect, useState, type ComponentType } from 'react'
import { Link, Route, Routes } from 'react-router'
import { Boundary } from './shell/Boundary'
import { Header } from './shell/Header'
import { text } from './shell/text'
import { Updated } from './shell/Updated'
import { useStartQuery } from './kit'
import { MixScreen } from './mix/MixScreen'

const BatchList = lazy(() => import('./book/batches/BatchList'))
const BatchPage = lazy(() => import('./book/batches/BatchPage'))
const LabelPage = lazy(() => import('./book/LabelPage'))
const StockPage = lazy(() => import('./book/stock/StockPage'))
const LotPage = lazy(() => import('./book/stock/LotPage'))
const TreatPage = lazy(() => import('./treat/TreatPage'))
const RoundPage = lazy(() => import('./treat/RoundPage'))
const SheetPage = lazy(() => import('./treat/SheetPage'))
const PracticePage = lazy(() => import('./treat/PracticePage'))
const WaitingPage = lazy(() => import('./treat/WaitingPage'))
const CheckPage = lazy(() => import('./check/CheckPage'))
const ComparePage = lazy(() => import('./check/compare/ComparePage'))
const PlanPage = lazy(() => import('./check/compare/PlanPage'))
const JobCheckPage = lazy(() => import('./check/JobCheckPage'))
const ReachPage = lazy(() => import('./check/ReachPage'))
const RegisterPage = lazy(() => import('./book/register/RegisterPage'))
const BenchPage = lazy(() => import('./bench/BenchPage'))
const DecideScreen = lazy(() => import('./decide/DecideScreen'))
const JobPage = lazy(() => import('./decide/JobPage'))
const CardsPage = lazy(() => import('./book/cards/CardsPage'))
const Yards = lazy(() => import('./yards/YardsScreen'))
const YardPage = lazy(() => import('./yards/YardPage'))
const InspectionRun = lazy(() => import('./yards/InspectionRun'))
const CountRun = lazy(() => import('./yards/CountRun'))
const BoardsRun = lazy(() => import('./yards/BoardsRun'))
const ColonyPage = lazy(() => import('./yards/ColonyPage'))
const ImportPage = lazy(() => import('./yards/ImportPage'))
const ThresholdsPage = lazy(() => import('./yards/ThresholdsPage'))
const PeoplePage = lazy(() => import('./people/PeoplePage'))
const Join = lazy(() => import('./people/Join'))
const NewPassword = lazy(() => import('./people/NewPassword'))
const Gate = lazy(async () => ({ default: (await import('./people/Gate')).Gate }))
const QueueBar = lazy(() => import('./outbox/QueueBar'))
const KeysSheet = lazy(() => import('./shell/KeysSheet'))

/** What belongs to an operation, by its address. */
const OURS: [string, ComponentType][] = [
  ['/decide', DecideScreen],
  ['/jobs/:id', JobPage],
  ['/cards', CardsPage],
  ['/yards', Yards],
  ['/yards/:id', YardPage],
  ['/yards/:id/inspect', InspectionRun],
  ['/yards/:id/count', CountRun],
  ['/yards/:id/boards', BoardsRun],
  ['/colonies/:id', ColonyPage],
  ['/import', ImportPage],
  ['/thresholds', ThresholdsPage],
  ['/people', PeoplePage],
  ['/batches', BatchList],
  ['/batches/:id', BatchPage],
  ['/batches/:id/label', LabelPage],
  ['/bench/:id', BenchPage],
  ['/treat', TreatPage],
  ['/rounds/:id/:day/:act?', RoundPage],
  ['/rounds/:id/:day/sheet', SheetPage],
  ['/waiting', WaitingPage],
  ['/check', CheckPage],
  ['/check/:id', JobCheckPage],
  ['/compare', ComparePage],
  ['/compare/plan', PlanPage],
  ['/register', RegisterPage],
  ['/stock', StockPage],
  ['/stock/:id', LotPage],
]

export function App() {
  const [keys, setKeys] = useState(false)
  const start = useStartQuery()
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
      <Updated />
      <Suspense>
        <QueueBar />
      </Suspense>
      <Boundary>
        <Suspense fallback={<p style={{ padding: 24 }}>{text.loading}</p>}>
          <Routes>
            <Route path="/" element={<MixScreen start={start.data} />} />
            <Route path="/join/:token" element={<Join />} />
            <Route path="/password/:token" element={<NewPassword />} />
            <Route path="/practice" element={<PracticePage />} />
            <Route path="/reach" element={<ReachPage />} />
            {OURS.map(([path, Page]) => (
              <Route
                key={path}
                path={path}
                element={
                  <Gate>
                    <Page />
                  </Gate>
                }
              />
            ))}
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
