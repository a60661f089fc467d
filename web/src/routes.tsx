import { lazy, type ComponentType } from 'react'
import { matchPath } from 'react-router'
import { text } from './shell/text'

/** A page by its address, with what the browser's tab is called. */
type Page = [path: string, title: string, Page: ComponentType]

/** A page whose code comes when it is opened: that of the one that is begun with at once, beside all else that it needs. */
function page(path: string, title: string, load: () => Promise<{ default: ComponentType }>): Page {
  if (matchPath(path, location.pathname)) load().catch(() => undefined) // told where it is shown
  return [path, title, lazy(load)]
}

const { pages } = text

/** What anybody may open. */
export const OPEN: Page[] = [
  page('/join/:token', text.titles.join, () => import('./people/Join')),
  page('/password/:token', text.titles.password, () => import('./people/NewPassword')),
  page('/help', pages.help, () => import('./help/HelpPage')),
  page('/practice', pages.practice, () => import('./treat/PracticePage')),
  page('/reach', pages.reach, () => import('./check/ReachPage')),
]

/** What can still be opened once an operation is closed, and the page that stands for all else. */
export const KEPT = ['/record', '/register', '/people']
export const ClosedPage = lazy(() => import('./settings/ClosedPage'))

/** What belongs to an operation. */
export const OURS: Page[] = [
  page('/decide', text.decide, () => import('./decide/DecideScreen')),
  page('/jobs', pages.jobs, () => import('./decide/JobsPage')),
  page('/jobs/:id', text.titles.job, () => import('./decide/JobPage')),
  page('/cards', pages.cards, () => import('./book/cards/CardsPage')),
  page('/yards', text.yards, () => import('./yards/YardsScreen')),
  page('/yards/:id', text.titles.yard, () => import('./yards/YardPage')),
  page('/yards/:id/inspect', text.titles.inspect, () => import('./yards/InspectionRun')),
  page('/yards/:id/count', text.titles.count, () => import('./yards/CountRun')),
  page('/yards/:id/boards', text.titles.boards, () => import('./yards/BoardsRun')),
  page('/colonies/:id', text.titles.hive, () => import('./yards/ColonyPage')),
  page('/import', pages.import, () => import('./yards/ImportPage')),
  page('/thresholds', pages.thresholds, () => import('./yards/ThresholdsPage')),
  page('/people', text.people, () => import('./people/PeoplePage')),
  page('/settings', pages.settings, () => import('./settings/SettingsPage')),
  page('/book', text.book, () => import('./book/BookPage')),
  page('/calendar', pages.calendar, () => import('./book/CalendarPage')),
  page('/batches', pages.batches, () => import('./book/batches/BatchList')),
  page('/batches/:id', text.titles.batch, () => import('./book/batches/BatchPage')),
  page('/batches/:id/label', text.titles.label, () => import('./book/LabelPage')),
  page('/bench/:id', text.titles.bench, () => import('./bench/BenchPage')),
  page('/treat', text.treat, () => import('./treat/TreatPage')),
  page('/rounds/:id/:day/:act?', text.titles.round, () => import('./treat/RoundPage')),
  page('/rounds/:id/:day/sheet', text.titles.sheet, () => import('./treat/SheetPage')),
  page('/waiting', text.titles.waiting, () => import('./treat/WaitingPage')),
  page('/check', text.check, () => import('./check/CheckPage')),
  page('/check/:id', text.check, () => import('./check/JobCheckPage')),
  page('/compare', pages.compare, () => import('./check/compare/ComparePage')),
  page('/compare/plan', text.titles.plan, () => import('./check/compare/PlanPage')),
  page('/record', pages.record, () => import('./book/record/RecordPage')),
  page('/register', pages.register, () => import('./book/register/RegisterPage')),
  page('/recall', text.titles.recall, () => import('./book/recall/RecallPage')),
  page('/stock', pages.stock, () => import('./book/stock/StockPage')),
  page('/stock/:id', text.titles.lot, () => import('./book/stock/LotPage')),
  page('/season', pages.season, () => import('./season/SeasonPage')),
  page('/more', text.more, () => import('./shell/MorePage')),
]
