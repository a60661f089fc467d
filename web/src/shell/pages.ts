import { text } from './text'

/** Pages that are one tap away on a phone: its foot has them. */
export const NEAR = [
  { to: '/', name: text.today, sub: text.todaySub },
  { to: '/yards', name: text.yards, sub: text.yardsSub },
  { to: '/treat', name: text.treat, sub: text.subs.treat },
  { to: '/check', name: text.check, sub: text.subs.check },
]

/** The others that are found by name, in the order in which they are listed. */
export const PAGES = [
  { to: '/decide', name: text.decide, sub: text.subs.decide },
  { to: '/mix', name: text.mix, sub: text.subs.mix },
  { to: '/book', name: text.book, sub: text.pages.book },
  { to: '/record', name: text.pages.record, sub: text.pages.recordSub },
  { to: '/register', name: text.pages.register, sub: text.pages.registerSub },
  { to: '/batches', name: text.pages.batches, sub: text.pages.batchesSub },
  { to: '/jobs', name: text.pages.jobs, sub: text.pages.jobsSub },
  { to: '/stock', name: text.pages.stock, sub: text.pages.stockSub },
  { to: '/cards', name: text.pages.cards, sub: text.pages.cardsSub },
  { to: '/thresholds', name: text.pages.thresholds, sub: text.pages.thresholdsSub },
  { to: '/calendar', name: text.pages.calendar, sub: text.pages.calendarSub },
  { to: '/compare', name: text.pages.compare, sub: text.pages.compareSub },
  { to: '/reach', name: text.pages.reach, sub: text.pages.reachSub },
  { to: '/practice', name: text.pages.practice, sub: text.pages.practiceSub },
  { to: '/season', name: text.pages.season, sub: text.pages.seasonSub },
  { to: '/import', name: text.pages.import, sub: text.pages.importSub },
  { to: '/help', name: text.pages.help, sub: text.pages.helpSub },
  { to: '/settings', name: text.pages.settings, sub: text.pages.settingsSub },
  { to: '/people', name: text.people, sub: text.pages.peopleSub },
]
