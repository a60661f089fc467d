import { lazy, type ComponentType } from 'react'
import { text } from './shell/text'

/** A page by its address, with what the browser's tab is called. */
type Page = [path: string, title: string, Page: ComponentType]

const { pages } = text

/** What anybody may open. */
export const OPEN: Page[] = [
  ['/join/:token', text.titles.join, lazy(() => import('./people/Join'))],
  ['/password/:token', text.titles.password, lazy(() => import('./people/NewPassword'))],
  ['/help', pages.help, lazy(() => import('./help/HelpPage'))],
  ['/practice', pages.practice, lazy(() => import('./treat/PracticePage'))],
  ['/reach', pages.reach, lazy(() => import('./check/ReachPage'))],
]

/** What can still be opened once an operation is closed, and the page that stands for all else. */
export const KEPT = ['/record', '/register', '/people']
export const ClosedPage = lazy(() => import('./settings/ClosedPage'))

/** What belongs to an operation. */
export const OURS: Page[] = [
  ['/decide', text.decide, lazy(() => import('./decide/DecideScreen'))],
  ['/jobs', pages.jobs, lazy(() => import('./decide/JobsPage'))],
  ['/jobs/:id', text.titles.job, lazy(() => import('./decide/JobPage'))],
  ['/cards', pages.cards, lazy(() => import('./book/cards/CardsPage'))],
  ['/yards', text.yards, lazy(() => import('./yards/YardsScreen'))],
  ['/yards/:id', text.titles.yard, lazy(() => import('./yards/YardPage'))],
  ['/yards/:id/inspect', text.titles.inspect, lazy(() => import('./yards/InspectionRun'))],
  ['/yards/:id/count', text.titles.count, lazy(() => import('./yards/CountRun'))],
  ['/yards/:id/boards', text.titles.boards, lazy(() => import('./yards/BoardsRun'))],
  ['/colonies/:id', text.titles.hive, lazy(() => import('./yards/ColonyPage'))],
  ['/import', pages.import, lazy(() => import('./yards/ImportPage'))],
  ['/thresholds', pages.thresholds, lazy(() => import('./yards/ThresholdsPage'))],
  ['/people', text.people, lazy(() => import('./people/PeoplePage'))],
  ['/settings', pages.settings, lazy(() => import('./settings/SettingsPage'))],
  ['/book', text.book, lazy(() => import('./book/BookPage'))],
  ['/calendar', pages.calendar, lazy(() => import('./book/CalendarPage'))],
  ['/batches', pages.batches, lazy(() => import('./book/batches/BatchList'))],
  ['/batches/:id', text.titles.batch, lazy(() => import('./book/batches/BatchPage'))],
  ['/batches/:id/label', text.titles.label, lazy(() => import('./book/LabelPage'))],
  ['/bench/:id', text.titles.bench, lazy(() => import('./bench/BenchPage'))],
  ['/treat', text.treat, lazy(() => import('./treat/TreatPage'))],
  ['/rounds/:id/:day/:act?', text.titles.round, lazy(() => import('./treat/RoundPage'))],
  ['/rounds/:id/:day/sheet', text.titles.sheet, lazy(() => import('./treat/SheetPage'))],
  ['/waiting', text.titles.waiting, lazy(() => import('./treat/WaitingPage'))],
  ['/check', text.check, lazy(() => import('./check/CheckPage'))],
  ['/check/:id', text.check, lazy(() => import('./check/JobCheckPage'))],
  ['/compare', pages.compare, lazy(() => import('./check/compare/ComparePage'))],
  ['/compare/plan', text.titles.plan, lazy(() => import('./check/compare/PlanPage'))],
  ['/record', pages.record, lazy(() => import('./book/record/RecordPage'))],
  ['/register', pages.register, lazy(() => import('./book/register/RegisterPage'))],
  ['/stock', pages.stock, lazy(() => import('./book/stock/StockPage'))],
  ['/stock/:id', text.titles.lot, lazy(() => import('./book/stock/LotPage'))],
  ['/season', pages.season, lazy(() => import('./season/SeasonPage'))],
  ['/more', text.more, lazy(() => import('./shell/MorePage'))],
]
